const countPieces = (count: number): string => (count === 1 ? '1 piece' : `${count} pieces`);

export const BRING_IN_WORDS = {
  bringPiecesIn: 'Bring pieces in',
  fromTheFileOfOnePiece:
    'From the file of one piece (.json) or of a whole shop (.zip). You see what is in it before anything changes.',
  readingIt: 'Reading it …',
  pickAFile: 'Pick a file',
  nothingWasBroughtIn: 'Nothing was brought in',
  onePieceWasBroughtIn: 'One piece was brought in.',
  piecesWereBroughtIn: (done: number): string => `${done} pieces were brought in.`,
  theWorkshopDoesNotAnswerTry: 'The workshop does not answer. Try again when it does.',
  whatIsInTheFile: 'What is in the file',
  newPieces: (count: number): string => (count === 1 ? '1 new piece' : `${count} new pieces`),
  hereAlreadyJustSoLeftAs: (count: number): string => `${countPieces(count)} here already, just so: left as they are.`,
  hereOtherwiseOrInTheBin: (count: number): string => `${countPieces(count)} here otherwise, or in the bin`,
  piecesThatAreHereOtherwise: 'Pieces that are here otherwise',
  keepMineAlone: 'Keep mine alone',
  bringThemInBesideMine: 'Bring them in beside mine',
  picturesComeAlong: (pictures: number): string => `${pictures} pictures come along.`,
  tinsAreNewToTheShelf: (tins: number): string => `${tins} tins are new to the shelf.`,
  hoursPlacesAndAirStayAs: 'Hours, places and air stay as they are here.',
  bringingIn: 'Bringing in …',
  leaveIt: 'Leave it',
  nothingToBringIn: 'Nothing to bring in',
  bringTheTinsIn: 'Bring the tins in',
  bring1PieceIn: 'Bring 1 piece in',
  bringSoManyIn: (pieces: number): string => `Bring ${pieces} pieces in`,
  andMore: (more: number): string => ` and ${more} more`,
};

export const COPIES_SCREEN_WORDS = {
  copies: 'Copies',
  theWholeShop: 'The whole shop',
  theWholeShopInOneFile: 'The whole shop in one file',
  everyPieceTheShelfTheWorkshop:
    'Every piece, the shelf, the workshop and all pictures, with tables for a spreadsheet. Keep it somewhere else than on this computer: it makes the same shop again in another place.',
  saveTheWholeShopZip: 'Save the whole shop (.zip)',
  toMakeAShopFromIt:
    'To make a shop from it: npm run -s bricolage -- restore SHOP.zip NEW.sqlite, and start with BRICOLAGE_DB set to the new file.',
  copiesAreMadeAndTheShop: 'Copies are made, and the shop is put back from one, at the computer of the workshop.',
  copiesOfTheShop: 'Copies of the shop',
  oneIsMadeWhenTheServer:
    'One is made when the server starts and on each day, and kept for seven days and four weeks. They lie beside your records, on the same disk: the file above is for the day that disk fails.',
  noCopyYet: 'No copy yet.',
  putBack: 'Put back',
  noCopyWasMade: 'No copy was made',
  isThereRoomOnTheDisk: 'Is there room on the disk? What was stored is whole.',
  copying: 'Copying …',
  makeACopyNow: 'Make a copy now',
  theShopGoesBackToHow: (words: string): string =>
    `The shop goes back to how it stood ${words}: pieces, readings, tests, tins and hours, with their pictures.`,
  whatItIsNowIsCopied:
    'What it is now is copied first, so that you can come back here. Every phone has to be let in again, and what waits on a phone is sent to the shop as it then is.',
  theShopIsAsItWas: 'The shop is as it was',
  itCouldNotBePutBack: 'It could not be put back. Look at the list again.',
  puttingBack: 'Putting back …',
  putTheShopBack: 'Put the shop back',
  damagedCannotBePutBack: 'Damaged: it cannot be put back',
  lacksPictures: (count: number): string =>
    count === 1 ? 'One of its pictures is lost or damaged' : `${count} of its pictures are lost or damaged`,
  theLastZipLacksPictures: (count: number): string =>
    count === 1 ? 'The last zip is without one picture' : `The last zip is without ${count} pictures`,
  theirFilesAreLostOrDamaged: (moment: string): string =>
    `Saved ${moment}. Their files are lost or damaged; all else is in it. A copy below may still have them.`,
  theShopIsBack: 'The shop is back',
  toToday: 'To Today',
  leaveIt: 'Leave it',
};
