export const MAKE_SMALL_WORDS = {
  thisFileIsLargerThan40: 'This file is larger than 40 MB. Take a smaller picture.',
  thisIsNotAPictureThat: 'This is not a picture that can be read. Pick a JPEG, PNG or WebP.',
};

export const PHOTO_BUTTON_WORDS = {
  opening: 'Opening…',
};

export const PHOTO_STRIP_WORDS = {
  pictures: 'Pictures',
  picturesOfThe: (name: string): string => `Pictures of the ${name}`,
  pictureOfTheThatWaitsTo: (name: string): string => `Picture of the ${name} that waits to be sent`,
  pictureOfThe: (i: number, name: string): string => `Picture ${i} of the ${name}`,
  showsNo: (defect: number): string => `Shows no. ${defect}`,
  removePicture: (i: number): string => `Remove picture ${i}`,
  remove: 'Remove',
  addAPicture: 'Add a picture',
  waitsToBeSent: 'Waits to be sent',
};
