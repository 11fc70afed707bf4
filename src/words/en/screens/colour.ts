export const OWN_COLOUR_WORDS = {
  orAnotherColour: 'Or another colour',
  pickAColour: 'Pick a colour',
  sixDigitsAfterASuchAs: 'Six digits after a #, such as #F3EFE6.',
  usedBefore: 'Used before',
};
