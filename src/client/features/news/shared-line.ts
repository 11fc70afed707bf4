/*
 * One line to the server for all tabs of a browser: it keeps six open to one server, and each tab's own would leave none for
 * anything else. The tab that holds a lock has the line and passes on what it hears; when it is closed or put away, the next
 * one that is looked at takes it up where it broke. A browser without locks has a line a tab.
 */

/** What is heard: `last` is the number of the event, by which a line is taken up again. */
export interface Heard {
  kind: 'here' | 'change' | 'reset';
  last: string;
  data: string;
}

/** Asks whoever has the line where it stands. */
interface Asked {
  kind: 'where';
}

export interface SharedLine {
  /** Whether this tab is looked at: only such a one has the line. A tab that was away says where it left off. */
  look: (isSeen: boolean) => void;
  close: () => void;
}

const NAME = 'bricolage-live';

/**
 * @param shop the shop that is listened to: another's tabs have a line of their own
 * @param hear told what is heard, by this tab or another
 * @param missed told where something may have gone by unheard while this tab was away
 */
export function openSharedLine(shop: string, hear: (heard: Heard) => void, missed: () => void): SharedLine {
  const channel = 'BroadcastChannel' in globalThis ? new BroadcastChannel(`${NAME}-${shop}`) : null;
  let source: EventSource | null = null;
  let waiting: AbortController | null = null;
  let letGo: (() => void) | null = null;
  let last = '';
  let comesBack = false;

  const take = (heard: Heard): void => {
    // One that comes back hears where the line stands, and whether that is where it left off.
    if (heard.kind === 'here' && comesBack && last !== '' && heard.last !== last) missed();
    if (heard.kind === 'here') comesBack = false;
    last = heard.last === '' ? last : heard.last;
    hear(heard);
  };
  const pass = (heard: Heard): void => {
    channel?.postMessage(heard);
    take(heard);
  };
  const listen = (): void => {
    source = new EventSource(`/api/events${last === '' ? '' : `?after=${last}`}`);
    // The server sends what was missed since: nothing is left to be asked.
    comesBack = false;
    for (const kind of ['here', 'change', 'reset'] as const)
      source.addEventListener(kind, ({ data, lastEventId }: MessageEvent<string>) =>
        pass({ kind, last: lastEventId, data }),
      );
  };
  const hush = (): void => {
    source?.close();
    source = null;
  };
  channel?.addEventListener('message', ({ data }: MessageEvent<Heard | Asked>) => {
    if (data.kind !== 'where') take(data);
    else if (source) channel.postMessage({ kind: 'here', last, data: '{}' } satisfies Heard);
  });

  const begin = (): void => {
    const { locks } = navigator as Partial<Pick<Navigator, 'locks'>>;
    if (!locks || !channel) return listen();
    waiting = new AbortController();
    void locks
      .request(`${NAME}-${shop}`, { signal: waiting.signal }, () => {
        listen();
        return new Promise<void>((resolve) => (letGo = resolve));
      })
      // It was put away before its turn came.
      .catch(() => undefined);
    comesBack = true;
    channel.postMessage({ kind: 'where' } satisfies Asked);
  };
  const end = (): void => {
    hush();
    waiting?.abort();
    waiting = null;
    letGo?.();
    letGo = null;
  };
  return {
    look: (isSeen) => {
      if (!isSeen) end();
      else if (!source && !waiting) begin();
    },
    close: () => {
      end();
      channel?.close();
    },
  };
}
