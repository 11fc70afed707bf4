import { useLayoutEffect } from 'react';

/** Single keys on a keyboard, by the key's name. Typing in a field and keys with Ctrl, Alt or Meta are left alone. */
export function useKeys(keys: Readonly<Record<string, () => void>>): void {
  // In the same frame as what is shown: a key pressed at once must not be lost.
  useLayoutEffect(() => {
    const listen = (event: KeyboardEvent): void => {
      const target = event.target as HTMLElement | null;
      if (target?.matches(':is(input,textarea,select)') === true || event.ctrlKey || event.altKey || event.metaKey)
        return;
      // What lies over the screen has the keys to itself.
      if (document.querySelector('dialog[open]')) return;
      const action = keys[event.key];
      if (!action) return;
      event.preventDefault();
      action();
    };
    document.addEventListener('keydown', listen);
    return () => document.removeEventListener('keydown', listen);
  }, [keys]);
}
