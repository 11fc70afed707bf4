import X from 'lucide-react-native/icons/x';
import { useEffect, useState, type ReactNode } from 'react';
import { Button } from './button';
import { Column, Row } from './layout';
import { Heading } from './text';
import { useTones } from './use-tones';
import { SHEET_WORDS } from '@/words';

interface SheetProps {
  /** What the button says, and the sheet is called. */
  label: string;
  look?: 'plain' | 'quiet';
  /** What it is about, where several buttons say the same. */
  describes?: string;
  /** What is on it; `close` puts it away. */
  children: (close: () => void) => ReactNode;
}

/**
 * Something to pick or fill in, on a sheet over the screen that comes up from below: near the thumb, and with all of the
 * room. It is the browser's own dialog, which keeps the focus, gives it back, and closes with Escape.
 */
export function Sheet({ label, look = 'plain', describes, children }: SheetProps) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button look={look} {...(describes ? { label: `${label}: ${describes}` } : {})} onPress={() => setOpen(true)}>
        {label}
      </Button>
      {open ? (
        <OpenSheet label={label} onClosed={() => setOpen(false)}>
          {children}
        </OpenSheet>
      ) : null}
    </>
  );
}

/** A sheet that is open as long as it is there. */
export function OpenSheet({
  label,
  onClosed,
  children,
}: Pick<SheetProps, 'label' | 'children'> & { onClosed: () => void }) {
  const [dialog, setDialog] = useState<HTMLDialogElement | null>(null);
  const tones = useTones();
  useEffect(() => dialog?.showModal(), [dialog]);
  const close = (): void => {
    if (dialog) dialog.close();
    else onClosed();
  };
  return (
    <dialog
      ref={setDialog}
      aria-label={label}
      className="sheet"
      style={{ backgroundColor: tones.ground, color: tones.ink, borderColor: tones.line }}
      onClose={onClosed}
      // A tap beside the sheet meets the dialog itself: what is on it lies in the column.
      onClick={(event) => event.target === event.currentTarget && close()}
    >
      <div className="sheet-head" style={{ backgroundColor: tones.ground, borderColor: tones.line }}>
        <Row gap="$m" alignItems="center" justifyContent="space-between" paddingLeft="$l">
          <Heading flex={1}>{label}</Heading>
          <Button look="quiet" icon={<X size={18} color={tones.ink} aria-hidden />} onPress={close}>
            {SHEET_WORDS.close}
          </Button>
        </Row>
      </div>
      <Column gap="$m" padding="$l">
        {children(close)}
      </Column>
    </dialog>
  );
}
