import { serveEachTest } from './harness';

/* A page that listens: server-sent events over real HTTP. */
const server = serveEachTest();

interface Event {
  id: string;
  event: string;
  data: Record<string, unknown>;
}

/** Reads events from a line until so many have come. */
async function listen(
  count: number,
  after = '',
  act: () => Promise<unknown> = async () => undefined,
): Promise<Event[]> {
  const end = new AbortController();
  const response = await fetch(`${server.base}/api/events${after === '' ? '' : `?after=${after}`}`, {
    signal: end.signal,
  });
  expect(response.headers.get('content-type')).toBe('text/event-stream');
  const reader = response.body!.pipeThrough(new TextDecoderStream()).getReader();
  const events: Event[] = [];
  let text = '';
  let acted = false;
  while (events.length < count) {
    const { value = '' } = await reader.read();
    text += value;
    const parts = text.split('\n\n');
    text = parts.pop()!;
    for (const part of parts) {
      const field = (name: string): string => new RegExp(`^${name}: (.*)$`, 'm').exec(part)?.[1] ?? '';
      if (field('event') !== '')
        events.push({ id: field('id'), event: field('event'), data: JSON.parse(field('data')) });
    }
    if (!acted && events.some(({ event }) => event === 'here')) {
      acted = true;
      await act();
    }
  }
  end.abort();
  return events;
}

const desk = { format: 'bricolage.dossier/1', piece: { kind: 'desk' } };
const put = (id: string, headers = {}) => server.call('PUT', `/api/pieces/${id}`, desk, headers);

describe('what others change', () => {
  it('is told to a page that listens: what, in what order, and by which page; never what to', async () => {
    const events = await listen(5, '', async () => {
      await put('p-1', { 'x-bricolage-page': 'page-7' });
      await server.call('PUT', '/api/pieces/p-1/goal', { colour: '#ffffff' });
      await server.call('PUT', '/api/shelf/t-1', { class: 'shellac_primer' });
      await server.call('PUT', '/api/workshop/setup', {});
    });
    expect(events.map(({ event, data }) => [event, data])).toEqual([
      ['here', {}],
      ['change', { piece: 'p-1', by: 'page-7' }],
      ['change', { piece: 'p-1' }],
      ['change', { shelf: true }],
      ['change', { workshop: true }],
    ]);
    expect(new Set(events.map(({ id }) => id)).size).toBe(5);
  });

  it('is not told when it was refused', async () => {
    const events = await listen(2, '', async () => {
      await server.call('PUT', '/api/pieces/p-1', { format: 'bricolage.dossier/1', piece: { kind: 'throne' } });
      await server.call('PUT', '/api/pieces/p-none/goal', {});
      await put('p-2');
    });
    expect(events.map(({ data }) => data)).toEqual([{}, { piece: 'p-2' }]);
  });

  it('is caught up on by a page that lost its line, in order and once', async () => {
    const [here] = await listen(1);
    await put('p-1');
    await put('p-2');
    const events = await listen(3, here!.id);
    expect(events.map(({ event, data }) => [event, data.piece])).toEqual([
      ['change', 'p-1'],
      ['change', 'p-2'],
      ['here', undefined],
    ]);
    const [later] = await listen(1, events[0]!.id);
    expect(later!.data).toEqual({ piece: 'p-2' });
  });

  it('is asked for anew by a page of another run, or that was away too long', async () => {
    const [here] = await listen(1);
    for (let i = 0; i < 1001; i += 1) await server.call('PUT', '/api/workshop/setup', {});
    for (const last of ['other-3', here!.id, `${here!.id.split('-')[0]}-99999`, 'x-y'])
      expect((await listen(1, last))[0]!.event).toBe('reset');
  }, 30_000);
});
