import type { TermCode } from './glossary';

/** The screens there are, by the last part of their address. */
export const SCREENS = [
  'today',
  'pieces',
  'new',
  'meet',
  'read',
  'choose',
  'prove',
  'work',
  'mend',
  'let-go',
  'findings',
  'practice',
  'earned',
  'shelf',
  'ahead',
  'workshop',
  'phones',
  'copies',
  'put-away',
  'search',
  'compare',
  'glossary',
  'notices',
] as const;
export type ScreenCode = (typeof SCREENS)[number];

interface Help {
  name: string;
  /** What the screen answers. */
  answers: string;
  terms: readonly TermCode[];
  /** Where its figures come from. */
  numbers: string;
}

export const HELP: Record<ScreenCode, Help> = {
  today: {
    name: 'Today',
    answers: 'What can I do in the time I have, what is drying, what is due to be read, and is it too damp to paint?',
    terms: ['clock', 'recoat', 'cure', 'dew_point', 'window', 'gate'],
    numbers:
      'Minutes are from the class table until your own logged times take their place. Drying times are the label’s, stretched by the air you recorded.',
  },
  pieces: {
    name: 'Pieces',
    answers: 'What do I have, where does each stand, and what comes next?',
    terms: ['section', 'zone', 'gate', 'system'],
    numbers: 'Where a piece stands follows from what was answered, taken and logged; nothing of it is set by hand.',
  },
  new: {
    name: 'New piece',
    answers: 'What is it? One tap draws it, with its faces and usual sizes.',
    terms: ['zone', 'carcass', 'flatpack'],
    numbers: 'Sizes are usual ones of its kind, until you measure.',
  },
  meet: {
    name: 'Meet',
    answers: 'Is it worth it, and at most for how much?',
    terms: ['zone', 'estimate', 'expected_value', 'lead', 'flatpack'],
    numbers:
      'The price is drawn from what the faces may be, your hours and your sales. Until you sold a few, the ranges are estimates.',
  },
  read: {
    name: 'Read',
    answers: 'What is each face, what is on it, and which look tells most now?',
    terms: [
      'belief',
      'substrate',
      'ground',
      'expected_value',
      'veneer',
      'laminate',
      'melamine',
      'foil',
      'tannin',
      'silicone',
    ],
    numbers:
      'Strengths of answers are common practice in round numbers. One look in twenty is taken to be misread, or what practice measured of you, where you let it count.',
  },
  choose: {
    name: 'Choose',
    answers: 'Which ways will hold, what does each cost, and why are others out?',
    terms: ['system', 'risk', 'primer', 'bonding_primer', 'stain_block', 'topcoat', 'elapsed', 'basis'],
    numbers: 'Chances come from the class table moved by your own tests, minutes from your pace, money from your tins.',
  },
  prove: {
    name: 'Prove',
    answers: 'Does it hold on this very piece?',
    terms: ['proof', 'patch', 'strip_panel', 'cross_cut', 'bleed_watch', 'adhesion', 'gate'],
    numbers:
      'Classes are those of ISO 2409 and ASTM D3359. What is enough to open a gate is common practice; you can set stricter limits.',
  },
  work: {
    name: 'Work',
    answers: 'What is the next step, and what has to be minded at it?',
    terms: ['coat', 'denib', 'recoat', 'grit', 'scuff', 'open_time', 'pot_life'],
    numbers: 'Minutes are yours once you logged a few; amounts are area by what your tins covered.',
  },
  mend: {
    name: 'Mend',
    answers: 'What went wrong, and what is the way out that costs least?',
    terms: ['fisheye', 'blushing', 'blocking', 'bleed', 'adhesion', 'recoat'],
    numbers: 'Chances of causes are common practice, moved by your log and by what you see.',
  },
  'let-go': {
    name: 'Let go',
    answers: 'When may it leave, what is it told with, and what did it earn?',
    terms: ['handover', 'cure', 'gate'],
    numbers: 'Sums are exact, from purchase, tins, hours and sale. Prices ahead are drawn from your own sales.',
  },
  findings: {
    name: 'Findings',
    answers: 'Which primer can be trusted on which surface, by my own tests?',
    terms: ['patch', 'adhesion', 'bleed', 'basis'],
    numbers: 'The class table counts as six readings; each patch of yours as one. The bar holds nine in ten.',
  },
  practice: {
    name: 'Practice',
    answers: 'Do I see what there is to be seen, and how sure may I be?',
    terms: ['belief', 'cross_cut', 'bleed', 'fisheye', 'expected_value'],
    numbers:
      'Cases are made up by the model that judges your surfaces. When something is asked again follows a published method of spaced repetition.',
  },
  earned: {
    name: 'Earned',
    answers: 'What did an hour bring, and which pieces are worth buying?',
    terms: ['estimate', 'elapsed'],
    numbers: 'Sums are exact; means of few pieces are drawn to the mean of all, and the range is said.',
  },
  shelf: {
    name: 'Shelf',
    answers: 'Which tins do I have, how much is in them, and what will they do?',
    terms: ['contrast_ratio', 'draw_down', 'sheen', 'pot_life', 'enamel'],
    numbers: 'What the label says goes before the class; what is left is the last measurement less what was drawn.',
  },
  ahead: {
    name: 'Two weeks ahead',
    answers: 'When is which piece ready?',
    terms: ['window', 'clock', 'elapsed'],
    numbers: 'Your hours, your pace, and the air to expect from last week’s readings.',
  },
  workshop: {
    name: 'Workshop',
    answers: 'When do I have time, how much room is there, and what air do I work in?',
    terms: ['dew_point', 'window'],
    numbers: 'A reading of the air counts for six hours.',
  },
  phones: {
    name: 'Phones',
    answers: 'Who may come in from the house?',
    terms: [],
    numbers: 'Nothing leaves the house.',
  },
  copies: {
    name: 'Copies',
    answers: 'Is all of it kept twice, and how do I get it back?',
    terms: [],
    numbers: 'A copy a day, kept for seven days and four weeks.',
  },
  'put-away': {
    name: 'Put away',
    answers: 'What is archived, and what is in the bin for how long?',
    terms: [],
    numbers: 'The bin keeps for thirty days.',
  },
  search: {
    name: 'Find',
    answers: 'Where was that: a piece, a tin, a test, a word, a screen?',
    terms: [],
    numbers: 'Whole shop while the server is there; what this device keeps while it is away.',
  },
  compare: {
    name: 'Compare',
    answers: 'Which of two pieces is to be done first, or bought?',
    terms: ['risk', 'elapsed', 'belief'],
    numbers: 'The same figures as on each piece’s own screens.',
  },
  glossary: {
    name: 'Words',
    answers: 'What do the words of the trade mean here?',
    terms: [],
    numbers: 'Common practice, in our own words.',
  },
  notices: {
    name: 'Notices',
    answers: 'What is this made with, and under which licences?',
    terms: [],
    numbers: 'Made from the packages that are shipped, when it is built.',
  },
};
