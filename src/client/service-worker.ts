import { clientsClaim } from 'workbox-core';
import { createHandlerBoundToURL, precacheAndRoute } from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';

/*
 * Keeps the whole program at hand, so that it opens where the server is not reached. Nothing of a shop passes through
 * here: records and pictures are asked of the server, or read from what the page keeps under the shop's id.
 */
declare const self: {
  skipWaiting: () => Promise<void>;
  addEventListener: (type: 'message', listener: (event: MessageEvent) => void) => void;
};
/** Every file of the build with its hash, put in when the build is readied. */
declare const PRECACHE: { url: string; revision: string | null }[];

precacheAndRoute(PRECACHE);
// Any address of ours is the one page; what the server itself answers to is not.
registerRoute(
  new NavigationRoute(createHandlerBoundToURL('/index.html'), { denylist: [/^\/api\//, /\.[a-z0-9]{1,8}$/i] }),
);
// The first visit already has it. A newer one waits until the owner takes it: no open page loses its program.
clientsClaim();
self.addEventListener('message', (event) => {
  if ((event.data as { type?: string } | null)?.type === 'SKIP_WAITING') void self.skipWaiting();
});
