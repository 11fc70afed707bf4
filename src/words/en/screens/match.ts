export const COLOUR_FROM_PICTURE_WORDS = {
  whitePaper: 'White paper',
  theColour: 'The colour',
  greyCard: 'Grey card',
  layASheetOfWhitePaper: (what: string): string =>
    `Lay a sheet of white paper beside ${what} and photograph both from straight above, in even daylight.`,
  aGreyCard18LiesThere: 'A grey card (18 %) lies there too',
  readTheColour: 'Read the colour',
};

export const DRAW_DOWN_CARD_WORDS = {
  bareWhite: 'Bare white',
  coatOverBlack: 'Coat over black',
  coatOverWhite: 'Coat over white',
  printTheCardAtItsSize:
    'Print the card at its size, check its line with a ruler, and put one coat across both halves as you paint a piece. When it is dry, photograph the whole card.',
  printTheCard: 'Print the card',
  readTheCard: 'Read the card',
  overBlackAsAgainstOverWhite: (ratio: number, why: string): string =>
    `over black as against over white. ${ratio >= 0.98 ? 'One coat hides.' : 'One coat does not hide; the plan counts how many do.'} ${why}`,
  keepItWithTheTin: 'Keep it with the tin',
  soFarItsClassIsGone: 'So far its class is gone by.',
  soFarTheClassIsGone: (byClass: number): string => `So far the class is gone by: about ${byClass}.`,
  measured: (known: string): string => `Measured: ${known}`,
  plansCountTheCoatsOfThis: 'Plans count the coats of this tin by it.',
  goByTheClassAgain: 'Go by the class again',
};

export const MATCH_TINS_WORDS = {
  thePartThatIsToBe: 'the part that is to be met',
  orTypeIt: 'Or type it',
  noTinWithAColour: 'No tin with a colour',
  giveYourTinsOfPaintTheir: 'Give your tins of paint their colour on Shelf, and they are held against it here.',
  tinsNearestFirst: 'Tins, nearest first',
  itIs: (colourWays: string): string => `It is ${colourWays}.`,
  e00: (de: string, withinError: boolean): string => `ΔE00 ${de}${withinError ? ': nearer than a phone can tell' : ''}`,
  aPhoneIsGoodToAbout:
    'A phone is good to about ΔE 3 to 5, a paint shop’s instrument to less than 1: for an exact match take the door along.',
};
