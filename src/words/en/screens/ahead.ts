export const AHEAD_CHART_WORDS = {
  twoWeeks: (pieces: string): string => `Two weeks: ${pieces}.`,
  daysWithWork: (name: string, valueCount: number): string => `${name}, ${valueCount} days with work`,
  heldBack: (block: string): string => `held back: ${block}`,
};

export const AHEAD_SCREEN_WORDS = {
  twoWeeksAhead: 'Two weeks ahead',
  nothingIsPlanned: 'Nothing is planned',
  workIsPlannedOnceASystem: 'Work is planned once a system has been taken for a piece, in Choose.',
  oneSittingIsClosedToWaterborne: 'One sitting is closed to waterborne coats',
  sittingsAreClosedToWaterborneCoats: (closedCount: number): string =>
    `${closedCount} sittings are closed to waterborne coats`,
  aboutAndAreExpectedByLast: (temperatureC: string, humidityPct: number, moment: string): string =>
    `About ${temperatureC} and ${humidityPct} % are expected ${moment}, by last week’s readings. Other work is planned there.`,
  sittings: 'Sittings',
  moreSittingsComeAfterTheseTwo: (later: number): string => `${later} more sittings come after these two weeks.`,
  jobsFindNoTime: (unplacedCount: number): string => `${unplacedCount} jobs find no time`,
  theyDoNotFitIntoAny:
    'They do not fit into any of your hours, or the air stays closed to them. Longer hours on one day would help.',
  ofWork: (from: string, to: string, span: string): string => `${from}–${to}, ${span} of work`,
  goesOnInTheNextSitting: ', goes on in the next sitting',
  open: 'Open',
  unpin: 'Unpin',
  pinTo: (moment: string): string => `Pin to ${moment}`,
  pinned: 'Pinned',
  saveAsACalendarFile: 'Save as a calendar file',
};
