/* Letters typed while a screen with a field is still on its way: they are kept for its field, and are no keys of anything else. */

let typed = '';

function collect(event: KeyboardEvent): void {
  if (event.key.length !== 1 || event.ctrlKey || event.altKey || event.metaKey) return;
  typed += event.key;
  event.preventDefault();
  event.stopPropagation();
}

/** A field never comes later than this; else letters are keys again. */
const LONGEST_MS = 4000;

export function keepTyping(): void {
  typed = '';
  document.addEventListener('keydown', collect, true);
  setTimeout(stop, LONGEST_MS);
}
const stop = (): void => document.removeEventListener('keydown', collect, true);

/** What was typed since; from now on letters go where they always go. */
export function takeTyped(): string {
  stop();
  return typed;
}
