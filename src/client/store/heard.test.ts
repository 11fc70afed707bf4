import { configureStore } from '@reduxjs/toolkit';
import { createApi, fakeBaseQuery, QueryStatus } from '@reduxjs/toolkit/query';
import { askAnew, isLookedAt } from './heard';

/** A cache as the shop's, over a record that changes while it is being read: each answer is held until it is let go. */
function makeCache() {
  let now = 1;
  const held: (() => void)[] = [];
  const api = createApi({
    baseQuery: fakeBaseQuery(),
    endpoints: (build) => ({
      find: build.query<number, void>({
        queryFn: () => {
          const seen = now;
          return new Promise((resolve) => held.push(() => resolve({ data: seen })));
        },
      }),
    }),
  });
  const store = configureStore({ reducer: { api: api.reducer }, middleware: (all) => all().concat(api.middleware) });
  const state = () => api.endpoints.find.select()(store.getState());
  return {
    ask: () => store.dispatch(api.endpoints.find.initiate(undefined, { subscribe: false, forceRefetch: true })),
    isAsked: () => state().status === QueryStatus.pending,
    isLookedAt: () => isLookedAt(state()),
    value: () => state().data,
    change: () => (now += 1),
    letGo: async () => {
      held.shift()?.();
      await new Promise((resolve) => setTimeout(resolve));
    },
  };
}

describe('what was heard while a question was on its way', () => {
  it('is asked again once that is answered, for its answer is of before', async () => {
    const cache = makeCache();
    void askAnew(cache.ask, cache.isAsked());
    await Promise.resolve();
    cache.change();
    expect(cache.isAsked()).toBe(true);
    const again = askAnew(cache.ask, cache.isAsked());
    await cache.letGo();
    expect(cache.value()).toBe(1);
    await cache.letGo();
    await again;
    expect(cache.value()).toBe(2);
  });

  it('is asked again where the very first answer is still on its way, and not where nobody looks', async () => {
    const cache = makeCache();
    expect(cache.isLookedAt()).toBe(false);
    void cache.ask();
    await Promise.resolve();
    cache.change();
    expect([cache.value(), cache.isLookedAt()]).toEqual([undefined, true]);
    const again = askAnew(cache.ask, cache.isAsked());
    await cache.letGo();
    await cache.letGo();
    await again;
    expect([cache.value(), cache.isLookedAt()]).toEqual([2, true]);
  });

  it('is asked once where nothing was on its way', async () => {
    const cache = makeCache();
    cache.change();
    const asked = askAnew(cache.ask, cache.isAsked());
    await cache.letGo();
    await asked;
    expect(cache.value()).toBe(2);
    expect(cache.isAsked()).toBe(false);
  });
});
