import { keep, recall } from './keep';

describe('what the browser keeps', () => {
  const shelf = new Map<string, string>();
  const storage = {
    getItem: (key: string) => shelf.get(key) ?? null,
    setItem: (key: string, text: string) => void shelf.set(key, text),
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
});
