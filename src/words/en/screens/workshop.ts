export const AIR_HISTORY_WORDS = {
  air: 'Air',
  readDevice: (name: string, simulated: boolean): string =>
    simulated ? 'Try the simulated instrument' : `Read ${name}`,
  simulatedCountsForNothing: 'A simulated reading is marked, and nothing is worked out from it.',
  simulated: 'Simulated: does not count',
  twoReadingsOrMoreMakeA: 'Two readings or more make a history here.',
  readingsThisWeek: (weekCount: number): string => `${weekCount} readings this week`,
  aboveTheDewPoint: (moment: string, marginC: string): string => `${moment}, ${marginC} above the dew point`,
  takeBackTheReadingOf: (moment: string): string => `Take back the reading of ${moment}`,
  takeBack: 'Take back',
  humidity: 'Humidity',
  aNumberFrom0To100: 'A number from 0 to 100.',
  surface: 'Surface',
  asAir: 'as air',
  dewPointSurfaceAboveIt: (dewPointC: string, marginC: string): string =>
    `Dew point ${dewPointC}, surface ${marginC} above it`,
  recordThisAir: 'Record this air',
  airOfTheLastWeekTo: (write: string, high: string, closed: number, rowsCount: number): string =>
    `Air of the last week, ${write} to ${high}: the full line is the air, the dashed one the least a surface may have. ${closed === 0 ? 'Always fit for coating.' : `${closed} of ${rowsCount} readings forbid waterborne coats.`}`,
  aWeekAgo: 'a week ago',
  now: 'now',
};

export const MONEY_CARD_WORDS = {
  money: 'Money',
  everyPieceStartsFromTheseOn:
    'Every piece starts from these; on its last tab it can have its own. The currency is picked on Shelf.',
  anHourOfYours: 'An hour of yours',
  profitAimedFor: 'Profit aimed for',
  feesOfSelling: 'Fees of selling',
  andFixed: 'and fixed',
  fetchingAndDeliveryAPiece: 'Fetching and delivery, a piece',
};

export const HOURS_FIELD_WORDS = {
  noTime: 'no time',
  addATimeNamed: (label: string): string => `Add a time, ${label}`,
  addATime: 'Add a time',
  fromIt: 'from',
  to: 'to',
  leaveOutTo: (from: string, to: string, label: string): string => `Leave out ${from} to ${to}, ${label}`,
  pickWhenItBeginsAndWhen: 'Pick when it begins and when it ends, or leave it out.',
  itEndsBeforeItBeginsPick: 'It ends before it begins: pick a later end.',
  twoTimesLieOverEachOther: 'Two times lie over each other: join them, or leave one out.',
};

export const WORKSHOP_SCREEN_WORDS = {
  monday: 'Monday',
  tuesday: 'Tuesday',
  wednesday: 'Wednesday',
  thursday: 'Thursday',
  friday: 'Friday',
  saturday: 'Saturday',
  sunday: 'Sunday',
  theServerDoesNotAnswerHours: 'The server does not answer. Hours and places can be changed once it does.',
  hoursPlacesAir: 'Hours, places, air',
  workshop: 'Workshop',
  phones: 'Phones',
  copies: 'Copies',
  notices: 'Notices',
  yourHours: 'Your hours',
  onTheClockOfWaitsPass: (zoneOfShop: string): string =>
    `On the clock of ${zoneOfShop}. Waits pass by themselves; hands work only in these.`,
  peopleAtWorkThen: 'People at work then',
  from1To4: 'From 1 to 4.',
  keepTheseHours: 'Keep these hours',
  daysThatAreOtherwise: 'Days that are otherwise',
  noTime: 'no time',
  removeNamed: (date: string): string => `Remove ${date}`,
  remove: 'Remove',
  date: 'Date',
  hoursThatDay: 'Hours that day',
  addThisDay: 'Add this day',
  aWholeNumberFrom0To: 'A whole number from 0 to 50, and at least one place in all.',
  places: 'Places',
  placesToStand: 'Places to stand',
  aPieceTakesOneFromIts:
    'A piece takes one from its first coat until it can be handled. What is small fits a large place too.',
  largeAsForADresser: 'Large, as for a dresser',
  smallAsForABedsideCabinet: 'Small, as for a bedside cabinet',
  keepThesePlaces: 'Keep these places',
};
