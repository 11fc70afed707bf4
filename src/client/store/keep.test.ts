import { keep, recall } from './keep';
import { currentShop, meetShop } from './shop-id';

describe('what the browser keeps', () => {
  const shelf = new Map<string, string>();
  const storage = {
    getItem: (key: string) => shelf.get(key) ?? null,
    setItem: (key: string, text: string) => void shelf.set(key, text),
    get length() {
      return shelf.size;
    },
    key: (i: number) => [...shelf.keys()][i] ?? null,
    removeItem: (key: string) => void shelf.delete(key),
  };
  const use = (value: unknown): void => {
    Object.defineProperty(globalThis, 'localStorage', { value, configurable: true });
  };
  afterAll(() => use(undefined));

  it('comes back as it was', () => {
    use(storage);
    keep('drafts', { meet: { name: 'Desk' } });
    expect(recall('drafts', {})).toEqual({ meet: { name: 'Desk' } });
  });

  it('starts anew where there is nothing, or nothing readable', () => {
    use(storage);
    shelf.set('bricolage.outbox', '[{');
    expect(recall('outbox', [])).toEqual([]);
    expect(recall('never', 'start')).toBe('start');
  });

  it('does not fail where the browser keeps nothing', () => {
    use({
      getItem: () => null,
      setItem: () => {
        throw new Error('full');
      },
    });
    expect(() => keep('drafts', {})).not.toThrow();
    use(undefined);
    expect(recall('drafts', 1)).toBe(1);
  });

  it('belongs to one shop and is not seen from another; how things are looked at belongs to the device', () => {
    shelf.clear();
    use(storage);
    let reloads = 0;
    Object.defineProperty(globalThis, 'location', { value: { reload: () => (reloads += 1) }, configurable: true });
    // Kept before shops had ids: the first one's that is met.
    keep('drafts', ['a change of the first']);
    keep('settings', { scheme: 'dark' });
    expect(currentShop()).toBeNull();
    meetShop('shop-1');
    expect([currentShop(), reloads]).toEqual(['shop-1', 0]);
    expect(recall('drafts', [])).toEqual(['a change of the first']);
    meetShop('shop-1');
    expect(reloads).toBe(0);
    meetShop('shop-2');
    expect([currentShop(), reloads]).toEqual(['shop-2', 1]);
    expect(recall('drafts', [])).toEqual([]);
    expect(recall('settings', {})).toEqual({ scheme: 'dark' });
    keep('drafts', ['a change of the second']);
    meetShop('shop-1');
    expect(recall('drafts', [])).toEqual(['a change of the first']);
    use(undefined);
  });
});
