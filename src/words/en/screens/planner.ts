export const BROKEN_SEARCH_WORDS = {
  theSearchBrokeOff: 'The search broke off',
  itWasTriedTwiceChangeSomething: 'It was tried twice. Change something, or load the page anew; what is kept is whole.',
};
