export const BOX_PICTURE_WORDS = {
  boxFor: (name: string): string => `Box for ${name}`,
  thePhotograph: 'The photograph',
};

export const PICTURE_READER_WORDS = {
  thePictureCouldNotBeRead: 'The picture could not be read. Take another one.',
};

export const USE_OPENED_PICTURE_WORDS = {
  openingThePicture: 'Opening the picture…',
  measuring: 'Measuring…',
};

export const MARKED_PICTURE_WORDS = {
  anotherPicture: 'Another picture',
  pickOrTakeAPicture: 'Pick or take a picture',
  notGoodEnoughToGoBy: 'Not good enough to go by',
  whatToMark: 'What to mark',
  drawABoxOverItWith: 'Draw a box over it with a finger, or move it with the arrow keys (with shift: its size).',
};
