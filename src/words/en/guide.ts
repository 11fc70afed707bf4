export type GuideCard = 'meet' | 'read' | 'choose' | 'prove' | 'work';
/** Five short cards for the first piece. */
export const GUIDE: Record<GuideCard, { title: string; says: string }> = {
  meet: {
    title: 'First: what is it?',
    says: 'It is drawn with its usual faces. Put right what is otherwise, say what you know of its past, then go on to Read.',
  },
  read: {
    title: 'Second: look',
    says: 'One look at a time, the one that tells most. Tap what you see. It stops when nothing would change the plan.',
  },
  choose: {
    title: 'Third: choose a way',
    says: 'Each drawing is a cut through the coats. The first is what is recommended; tap for why, and for why others are out.',
  },
  prove: {
    title: 'Fourth: prove it',
    says: 'Paint a hidden patch, wait, scratch it, log it. The gate opens on what the patch shows, not on a promise.',
  },
  work: {
    title: 'Fifth: work',
    says: 'One step at a time, with what to mind. One tap logs it and starts the clock.',
  },
};
