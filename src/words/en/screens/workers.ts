export const PICTURE_WORKER_WORDS = {
  pickThePictureAgain: 'Pick the picture again.',
  thisIsNotAPictureThat: 'This is not a picture that can be read. Pick a JPEG, PNG or WebP.',
  thisPictureHasMoreThan60: 'This picture has more than 60 million pixels. Take a smaller one.',
};
