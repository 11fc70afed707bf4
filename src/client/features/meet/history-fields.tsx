import { Choices, Column, Strong, type ChoiceOption } from '@/client/ui';
import type { History } from '@/core/dossier';
import { HISTORY_FIELDS_WORDS } from '@/words';

type YesNo = 'yes' | 'no' | 'unknown';
const YES_NO: readonly ChoiceOption<YesNo>[] = [
  { code: 'yes', label: HISTORY_FIELDS_WORDS.yes },
  { code: 'no', label: HISTORY_FIELDS_WORDS.noIt },
  { code: 'unknown', label: HISTORY_FIELDS_WORDS.notKnown },
];

const ERAS: readonly ChoiceOption<NonNullable<History['era']>>[] = [
  { code: 'before_1940', label: HISTORY_FIELDS_WORDS.before1940 },
  { code: '1940_1977', label: '1940–1977' },
  { code: '1978_1999', label: '1978–1999' },
  { code: 'since_2000', label: HISTORY_FIELDS_WORDS.since2000 },
  { code: 'unknown', label: HISTORY_FIELDS_WORDS.notKnown },
];

const ROOMS: readonly ChoiceOption<NonNullable<History['room']>>[] = [
  { code: 'kitchen', label: HISTORY_FIELDS_WORDS.kitchen },
  { code: 'bathroom', label: HISTORY_FIELDS_WORDS.bathroom },
  { code: 'bedroom', label: HISTORY_FIELDS_WORDS.bedroom },
  { code: 'nursery', label: HISTORY_FIELDS_WORDS.nursery },
  { code: 'living', label: HISTORY_FIELDS_WORDS.livingRoom },
  { code: 'dining', label: HISTORY_FIELDS_WORDS.dining },
  { code: 'hall', label: HISTORY_FIELDS_WORDS.hall },
  { code: 'workshop', label: HISTORY_FIELDS_WORDS.workshop },
  { code: 'outdoors', label: HISTORY_FIELDS_WORDS.outdoors },
];

type Fact = keyof Pick<History, 'era' | 'room' | 'painted_before' | 'bled_before' | 'flatpack_marks'>;
/** The three that say most of a piece before it is touched; the others can wait until it is home. */
export const FIRST_FACTS: readonly Fact[] = ['era', 'painted_before', 'flatpack_marks'];
export const OTHER_FACTS: readonly Fact[] = ['room', 'bled_before'];

interface HistoryFieldsProps {
  only: readonly string[];
  value: History;
  onChange: (history: History) => void;
}

/** Questions about the past that change what is to be expected. Each tap is an answer; none is required. */
export function HistoryFields({ only, value, onChange }: HistoryFieldsProps) {
  const set = (part: Partial<History>): void => onChange({ ...value, ...part });
  return (
    <Column gap="$l">
      {only.includes('era') ? (
        <Question
          label={HISTORY_FIELDS_WORDS.howOldIsIt}
          options={ERAS}
          value={value.era}
          onPick={(era) => set({ era })}
        />
      ) : null}
      {only.includes('room') ? (
        <Question
          label={HISTORY_FIELDS_WORDS.whereDidItStand}
          options={ROOMS}
          value={value.room}
          onPick={(room) => set({ room })}
        />
      ) : null}
      {YES_NO_QUESTIONS.filter(([fact]) => only.includes(fact)).map(([fact, label]) => (
        <Question
          key={fact}
          label={label}
          options={YES_NO}
          value={value[fact]}
          onPick={(answer) => set({ [fact]: answer })}
        />
      ))}
    </Column>
  );
}

const YES_NO_QUESTIONS = [
  ['painted_before', HISTORY_FIELDS_WORDS.hasItBeenPaintedBefore],
  ['bled_before', HISTORY_FIELDS_WORDS.didColourBleedThroughPaintOnce],
  ['flatpack_marks', HISTORY_FIELDS_WORDS.flatPackMarksCamHolesStickers],
] as const;

interface QuestionProps<C extends string> {
  label: string;
  options: readonly ChoiceOption<C>[];
  value: C | undefined;
  onPick: (code: C) => void;
}

function Question<C extends string>({ label, options, value, onPick }: QuestionProps<C>) {
  return (
    <Column gap="$s">
      <Strong>{label}</Strong>
      <Choices label={label} options={options} value={value} onPick={onPick} />
    </Column>
  );
}
