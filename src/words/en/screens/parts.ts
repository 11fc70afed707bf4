export const FIELD_WORDS = {
  less: 'Less',
  more: 'More',
};

export const PIECE_DRAWING_WORDS = {
  tapThePlaceOnTheDrawing: 'Tap the place on the drawing',
};

export const SECTION_DRAWING_WORDS = {
  section: (summary: string): string => `Section: ${summary}`,
};

export const SHEET_WORDS = {
  close: 'Close',
};
