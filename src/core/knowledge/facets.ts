/** What a zone may be or have besides its ground and its finish, for the middle of a sentence. */
export const FACET_LABELS: Readonly<Record<string, string>> = {
  sound: 'a sound old coat',
  marginal: 'a doubtful old coat',
  failing: 'a failing old coat',
  bleed: 'a stain that will bleed',
  grease: 'grease',
  wax_polish: 'wax polish',
  silicone: 'silicone polish',
  odour: 'a smell that comes back',
  open: 'open grain',
  medium: 'fine, open pores',
  closed: 'closed grain',
};
