import { timeNow } from '@/client/store';
import { useState } from 'react';
import {
  Body,
  Button,
  Card,
  Choices,
  Column,
  Field,
  Heading,
  Row,
  Small,
  StateMark,
  Strong,
  type Tone,
} from '@/client/ui';
import { correctTest, zoneName, type Dossier, type Test, type Zone } from '@/core/dossier';
import { TEST_KIND_FACTS } from '@/core/knowledge';
import type { BleedMoment } from '@/core/panel';
import { judgeTest, listAnswers, makeReading, type JudgedTest } from '@/core/proof';
import { lowerFirst } from '@/core/shared';
import { TEST_LIST_WORDS, describeTreatment, nameReading, sayReading, sayVerdict } from '@/words';

const VERDICTS: Record<JudgedTest['verdict'], { tone: Tone; word: string }> = {
  pass: { tone: 'go', word: TEST_LIST_WORDS.held },
  fail: { tone: 'stop', word: TEST_LIST_WORDS.failed },
  early: { tone: 'wait', word: TEST_LIST_WORDS.early },
  incomplete: { tone: 'wait', word: TEST_LIST_WORDS.incomplete },
};

interface TestListProps {
  dossier: Dossier;
  zone: Zone;
  onWithdraw: (id: string) => void;
  onCorrect: (test: Test & { id: string }) => void;
}

/** Tests of a zone, newest first; what was put right keeps what it said before. */
export function TestList({ dossier, zone, onWithdraw, onCorrect }: TestListProps) {
  const tests = (dossier.tests ?? []).filter((test) => test.zone === zone.id).reverse();
  if (tests.length === 0) return null;
  return (
    <Column gap="$s">
      <Heading>
        {TEST_LIST_WORDS.testsOnThe}
        {lowerFirst(zoneName(zone))}
      </Heading>
      {tests.map((test, i) => (
        <TestRow key={test.id ?? i} test={test} dossier={dossier} onWithdraw={onWithdraw} onCorrect={onCorrect} />
      ))}
    </Column>
  );
}

function TestRow({ test, dossier, onWithdraw, onCorrect }: Omit<TestListProps, 'zone'> & { test: Test }) {
  const [correcting, setCorrecting] = useState(false);
  const judged = judgeTest(test, dossier);
  const { tone, word } = VERDICTS[judged.verdict];
  return (
    <Card gap="$xs">
      <Row justifyContent="space-between" gap="$s">
        <Strong>{`${TEST_KIND_FACTS[test.kind].label}${test.strip ? TEST_LIST_WORDS.strip(test.strip) : ''}`}</Strong>
        <StateMark tone={tone}>{word}</StateMark>
      </Row>
      <Small>{describeTreatment(test.treatment)}</Small>
      <Body>{sayVerdict(judged)}</Body>
      {judged.astm ? <Small>{TEST_LIST_WORDS.isoClassAstm(judged.isoClass ?? '', judged.astm)}</Small> : null}
      {(test.earlier ?? []).map((before, i) => (
        <Small key={i}>{TEST_LIST_WORDS.before(sayReading(test.kind, before.reading))}</Small>
      ))}
      {test.id && correcting ? (
        <CorrectionForm
          test={test}
          onDone={(reading) => {
            setCorrecting(false);
            if (reading)
              onCorrect({
                ...correctTest(test, { reading, age_h: test.age_h, at: timeNow() }),
                id: test.id!,
              });
          }}
        />
      ) : null}
      {test.id && !correcting ? (
        <Row gap="$s" flexWrap="wrap">
          <Button look="quiet" onPress={() => setCorrecting(true)}>
            {TEST_LIST_WORDS.putItRight}
          </Button>
          <Button look="quiet" onPress={() => onWithdraw(test.id!)}>
            {TEST_LIST_WORDS.takeThisTestBack}
          </Button>
        </Row>
      ) : null}
    </Card>
  );
}

/** The same kind of reading again: what it said before is kept with it. */
function CorrectionForm({ test, onDone }: { test: Test; onDone: (reading: Test['reading'] | null) => void }) {
  const [value, setValue] = useState('');
  const answers = listAnswers(test.kind);
  const at = (test.reading.at as BleedMoment | undefined) ?? '48h';
  const looks = test.reading.looks === undefined ? {} : { looks: test.reading.looks };
  const valid = answers.length > 0 ? value !== '' : /^\d{1,4}$/.test(value.trim());
  return (
    <Column gap="$s">
      {answers.length > 0 ? (
        <Choices
          label={TEST_LIST_WORDS.whatItIs}
          options={answers.map(({ code, hint }) => ({
            code,
            label: [nameReading(test.kind, code), hint].filter(Boolean).join(' · '),
          }))}
          value={value}
          onPick={setValue}
        />
      ) : (
        <Field label={TEST_LIST_WORDS.doubleRubsUntilColourComesOff} numeric value={value} onChange={setValue} />
      )}
      <Row gap="$s">
        <Button
          grow
          disabled={!valid}
          onPress={() => onDone({ ...looks, ...makeReading(test.kind, value.trim(), at) })}
        >
          {TEST_LIST_WORDS.keepThis}
        </Button>
        <Button grow onPress={() => onDone(null)}>
          {TEST_LIST_WORDS.leaveIt}
        </Button>
      </Row>
    </Column>
  );
}
