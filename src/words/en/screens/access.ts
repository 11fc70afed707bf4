export const TRUST_STEPS_WORDS = {
  thePhoneWarnsThatTheConnection:
    'The phone warns that the connection is not private. It says so of every address nobody in the wide world vouches for, and nobody outside can vouch for a computer in your house. Look for “Details” or “Advanced” and go on to the address.',
  downloadTheWorkshopsCertificateWith: 'Download the workshop’s certificate with the button here.',
  whereItSaysGeneral: 'If your phone’s settings have a page “General”',
  settingsAtTheTopProfileDownloaded: 'Settings, at the top: “Profile downloaded”. Install it.',
  settingsGeneralAboutAtTheEnd:
    'Settings, General, About, at the end “Certificate trust settings”: turn on “Bricolage workshop authority”.',
  whereItSaysSecurity: 'If your phone’s settings have a page “Security”',
  settingsSearchForCertificateInstall:
    'Settings, search for “certificate”: install a certificate, of the kind “CA certificate”. The phone says that this lets somebody watch your traffic: this one can vouch only for addresses inside your house.',
  pickTheFileYouDownloaded: 'Pick the file you downloaded.',
  openTheAddressAgainTheWarning:
    'Open the address again. The warning is gone, and Bricolage can be added to the home screen.',
  downloadTheCertificate: 'Download the certificate',
  itsFingerprintSha256ShouldThe: (fingerprint: string): string =>
    `Its fingerprint (SHA-256), should the phone show one: ${fingerprint}`,
  theKeyOfThisAuthorityLies:
    'The key of this authority lies on the computer of the workshop and nowhere else, and it is good for private addresses and names ending in .local alone. Remove it from the phone’s settings when you no longer use it.',
};

export const ENTER_SCREEN_WORDS = {
  comeIn: 'Come in',
  comeIntoTheWorkshop: 'Come into the workshop',
  thisIsTheComputerOfThe: 'This is the computer of the workshop',
  thisDeviceIsIn: 'This device is in',
  toToday: 'To Today',
  itNeedsNoCode: 'It needs no code.',
  oneChangeWaits: '1 change waits on this device',
  changesWaitOnThisDevice: (waiting: number): string => `${waiting} changes wait on this device`,
  theyAreKeptHereAndGo: 'They are kept here and go to the workshop once this device is let in again.',
  thePhoneWarnedMeWhatIt: 'The phone warned me: what it means, and how it stops',
  phone: 'Phone',
  atTheComputerOfTheWorkshop:
    'At the computer of the workshop, open “Phones” under “Hours, places, air” and let it show a code. Each code is good for one device, for ten minutes.',
  whatThisDeviceIsCalled: 'What this device is called',
  code: 'Code',
  nineDigits: 'nine digits',
  codeOfThePictureIsIn: 'The code came with the picture. Nothing to type.',
  orThePassphrase: 'Or the passphrase',
  notLetIn: 'Not let in',
  theComputerOfTheWorkshopDoes: 'The computer of the workshop does not answer. Is it on, and in the same network?',
  asking: 'Asking …',
};
