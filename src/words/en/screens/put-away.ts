export const PUT_AWAY_CARD_WORDS = {
  doneWithIt: 'Done with it',
  thisPieceIsArchivedItIs: 'This piece is archived: it is in no list, and what its tests taught still counts.',
  anArchivedPieceLeavesTheLists: 'An archived piece leaves the lists and the plan; what its tests taught still counts.',
  takeItOutOfTheArchive: 'Take it out of the archive',
  archiveThisPiece: 'Archive this piece',
  deleteThisPiece: 'Delete this piece',
  itGoesToTheBinWith:
    'It goes to the bin with everything it has: readings, tests, work and pictures. For thirty days it can be put back; then it is gone for good, and what its tests taught with it.',
  itWasNotDeleted: 'It was not deleted',
  theWorkshopDoesNotAnswerA: 'The workshop does not answer. A piece is deleted only while it does.',
  deleting: 'Deleting …',
  deleteIt: 'Delete it',
  keepIt: 'Keep it',
};

export const PUT_AWAY_SCREEN_WORDS = {
  putAway: 'Put away',
  archive: 'Archive',
  nothingIsArchivedAPieceThat: 'Nothing is archived. A piece that is sold or done with goes here from its Meet screen.',
  doneWithAndOutOfThe: 'Done with, and out of the lists. What their tests taught still counts.',
  openNamed: (name: string): string => `Open ${name}`,
  open: 'Open',
  takeOutOfTheArchive: (name: string): string => `Take ${name} out of the archive`,
  takeItOut: 'Take it out',
  bin: 'Bin',
  theBinIsEmptyWhatIs: 'The bin is empty. What is deleted lies here for thirty days, with all it had.',
  deletedEachCanBePutBack: 'Deleted. Each can be put back until its day; then it is gone for good, with its pictures.',
  goneForGood: (moment: string): string => `Gone for good ${moment}`,
  putBackNamed: (name: string): string => `Put ${name} back`,
  putBack: 'Put back',
  itCouldNotBePutBack: 'It could not be put back',
  theWorkshopDoesNotAnswerOr: 'The workshop does not answer, or its thirty days are over.',
};
