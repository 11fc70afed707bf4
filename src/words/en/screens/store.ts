export const OUTBOX_WORDS = {
  itBelongsToWorkThatWas: 'It belongs to work that was refused.',
};

export const SENDER_WORDS = {
  thisBrowserNoLongerHasThe: 'This browser no longer has the picture. Take it again.',
  theServerRefusedThisChange: 'The server refused this change.',
};

export const USE_MEASURES_WORDS = {
  fromTo: (low: string, high: string): string => `From ${low} to ${high}.`,
};

export const USE_PIECE_NAME_WORDS = {
  aPiece: 'A piece',
};
