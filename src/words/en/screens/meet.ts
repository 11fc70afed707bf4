export const COUNTS_WORDS = {
  drawers: 'Drawers',
  doors: 'Doors',
  shelves: 'Shelves',
  panels: 'Panels',
  less: 'Less',
  more: 'More',
};

export const HISTORY_FIELDS_WORDS = {
  yes: 'Yes',
  noIt: 'No',
  notKnown: 'Not known',
  before1940: 'Before 1940',
  since2000: 'Since 2000',
  kitchen: 'Kitchen',
  bathroom: 'Bathroom',
  bedroom: 'Bedroom',
  nursery: 'Nursery',
  livingRoom: 'Living room',
  dining: 'Dining room',
  hall: 'Hall',
  workshop: 'Workshop',
  outdoors: 'Outdoors',
  howOldIsIt: 'How old is it?',
  whereDidItStand: 'Where did it stand?',
  hasItBeenPaintedBefore: 'Has it been painted before?',
  didColourBleedThroughPaintOnce: 'Did colour bleed through paint once?',
  flatPackMarksCamHolesStickers: 'Flat-pack marks: cam holes, stickers, paper edges?',
};

export const KERB_LOOK_WORDS = {
  lookFirst: 'Look first',
  cantTell: 'Can’t tell',
};

export const PRICE_BAR_WORDS = {
  theyAsk: (asked: string): string => `they ask ${asked}`,
};

export const KERB_WORDS = {
  atTheDoor: 'At the door',
  workingOutWhatItMayCost: 'Working out what it may cost…',
  atMost: 'at most',
  howThatIsReckoned: 'How that is reckoned',
  leftToYouAtAfterYour: (
    money: string,
    money2: string,
    money3: string,
    money4: string,
    low: number,
    high: number,
    draws: number,
  ): string =>
    `Left to you at ${money}, after your own time: ${money2} in the middle case, ${money3} in a bad one, ${money4} in a good one. ${low} to ${high} h of work. Met in four of five of ${draws} draws of what it may be.`,
  anHourOfYoursCountsAs: (sum: string): string => `An hour of yours counts as ${sum} until you say`,
  sayWhatAnHourIsWorth: 'Say what an hour is worth',
  paintAndPrimer: 'Paint and primer',
  paperRollersTapeRags: 'Paper, rollers, tape, rags',
  handlesAndFittings: 'Handles and fittings',
  yourOwnTime: 'Your own time',
  feesOfSelling: 'Fees of selling',
  transport: 'Transport',
  whatMayFailAndBeDone: 'What may fail and be done again',
  theyAsk: 'They ask',
  sellsForAbout: 'Sells for about',
  reckonedWithToMostLikely: (least: string, most: string, likely: string, saleBasis: string): string =>
    `Reckoned with ${least} to ${most}, ${likely} most likely. ${saleBasis}`,
  whatDoesOneLikeItSell: 'What does one like it sell for here, painted? Then it can be said what this one may cost.',
  theRangeItSellsIn: 'The range it sells in',
  atLeast: 'At least',
  atBest: 'At best',
};

export const REGIONS_WORDS = {
  unitedStates: 'United States',
  elsewhere: 'Elsewhere',
};

export const SIZE_FIELDS_WORDS = {
  width: 'Width',
  depth: 'Depth',
  height: 'Height',
  moreThan0AtMost: (most: string): string => `More than 0, at most ${most}.`,
  aRoughGuessWillDoAreas: 'A rough guess will do: areas that you did not measure yourself follow from it.',
};

export const ADD_ZONE_WORDS = {
  addAZone: 'Add a zone',
  whatIsTheNewZone: 'What is the new zone?',
};

export const REMOVED_ZONES_WORDS = {
  zonesTakenAway: 'Zones taken away',
  takenAway: 'Taken away',
  eachCanBeHadBackFor: 'Each can be had back for thirty days; then it is gone with all that was recorded.',
  nothingWasRecordedOfIt: 'nothing was recorded of it',
  recordKept: (count: number): string => `${count} record${count === 1 ? '' : 's'} kept`,
  bringBackNamed: (zoneName: string): string => `Bring back ${zoneName}`,
  bringBack: 'Bring back',
};

export const ZONE_FORM_WORDS = {
  name: 'Name',
  giveItAName: 'Give it a name.',
  area: (zoneName: string): string => `${zoneName} area`,
  moreThan0AtMost: (most: string): string => `More than 0, at most ${most}.`,
  byHeat: 'Over a radiator or by a stove',
  splitOffWhatIsDifferent: 'Split off what is different',
  face: (i: number): string => `Face ${i}`,
  makeAZoneOfItsOwn: (pickedCount: number): string =>
    `Make ${pickedCount === 1 ? 'this face' : 'these faces'} a zone of its own`,
  joinAnotherZoneIntoIt: 'Join another zone into it',
  itsFacesAndAreaComeHere: 'Its faces and area come here; what was read of it alone is put away with it.',
  joinInto: (zoneName: string): string => `Join into ${zoneName}`,
  otherZonesAreReadLikeThis: 'Other zones are read like this one, so it cannot be joined or removed.',
  remove: (zoneName: string): string => `Remove ${zoneName}`,
  removeThisZone: 'Remove this zone',
  apart: (zone: string): string => `${zone}, apart`,
};

export const ZONE_EDITOR_WORDS = {
  tapFacesOfTheZoneTo: 'Tap faces of the zone to split them off.',
  tapAFaceOrAZone: 'Tap a face or a zone to change it.',
  zones: 'Zones',
  areaNotKnown: 'area not known',
  leftAsItIs: ', left as it is',
  closeNamed: (name: string): string => `Close ${name}`,
  changeNamed: (name: string): string => `Change ${name}`,
  close: 'Close',
  change: 'Change',
  leave: 'Leave',
};

export const MEET_SCREEN_WORDS = {
  firstSurface: 'Signed, or its first surface is still on',
  askSomebody: 'Show it to somebody who knows first',
  beforeTheRag: 'Such a surface may be worth more than anything done to it. Ask before the first rag.',
  meet: 'Meet',
  iBoughtIt: 'I bought it',
  readItsSurfaces: 'Read its surfaces',
  whatItMayCost: 'What it may cost',
  moreThatIsKnownOfIt: 'More that is known of it',
  zonesAreasAndSize: 'Zones, areas and size',
  saveTheDossierOfThisPiece: 'Save the dossier of this piece as a file',
  name: 'Name',
  giveItANameYouWill: 'Give it a name you will know it by.',
  whereInTheWorldItSets: 'Where in the world? It sets the date rule for lead.',
  region: 'Region',
};

export const KIND_TILES_WORDS = {
  kindOfPiece: 'Kind of piece',
  otherKinds: (kindsCount: number): string => `${kindsCount} other kinds`,
};

export const NEW_PIECE_SCREEN_WORDS = {
  newPiece: 'New piece',
  whatIsIt: 'What is it?',
  oneTapAddsItAndSays: 'One tap adds it, and says what to look at before you pay for it.',
};
