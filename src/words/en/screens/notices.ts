export const NOTICES_SCREEN_WORDS = {
  notices: 'Notices',
  bricolageIsMadeWithTheWork: 'Bricolage is made with the work of many others. These are their licences.',
  packageOrLicence: 'Package or licence',
  ofPackages: (foundCount: number, noticesCount: number): string => `${foundCount} of ${noticesCount} packages`,
  itCameWithoutATextOf: 'It came without a text of its own.',
  moreNarrowItByAName: (foundCount: number): string => `${foundCount} more: narrow it by a name.`,
};
