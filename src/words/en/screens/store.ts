export const OUTBOX_WORDS = {
  itBelongsToWorkThatWas: 'It belongs to work that was refused.',
};

export const SENDER_WORDS = {
  thisBrowserNoLongerHasThe: 'This browser no longer has the picture. Take it again.',
  theServerRefusedThisChange: 'The server refused this change.',
};

export const USE_MEASURES_WORDS = {
  fromTo: (convertToShown: number, quantity: string): string => `From ${convertToShown} to ${quantity}.`,
};

export const USE_PIECE_NAME_WORDS = {
  aPiece: 'A piece',
};
