import { useState } from 'react';
import { usePlanner } from '@/client/features/planner';
import { makeId, useWithShop, useMeasures, timeNow } from '@/client/store';
import {
  Body,
  Button,
  Card,
  Choices,
  Column,
  Disclosure,
  Field,
  Heading,
  Row,
  Small,
  Strong,
  Toggle,
} from '@/client/ui';
import { zoneName, type Dossier, type Panel, type Treatment, type Zone } from '@/core/dossier';
import {
  PREPS,
  PRIMER_FACTS,
  PRIMERS,
  PREP_FACTS,
  type PrepCode,
  type PrimerCode,
  type TestKind,
} from '@/core/knowledge';
import { crossFactors, designPanel, type PanelDesign, type Proposal } from '@/core/panel';
import { treatmentKey } from '@/core/proof';
import { COMMON_KIND_OPTIONS } from './kinds';
import { StripMap } from './strip-map';
import { lowerFirst } from '@/core/shared';
import { PANEL_DESIGNER_WORDS, describeTreatment, listStrips, sayProposal } from '@/words';

interface PanelDesignerProps {
  dossier: Dossier;
  zone: Zone;
  onMake: (panel: Panel) => void;
}

/** The panel that would tell most here; everything of it can be changed before it is painted. */
export function PanelDesigner({ dossier, zone, onMake }: PanelDesignerProps) {
  const shop = useWithShop(dossier);
  const { answer } = usePlanner({ kind: 'proposal', dossier: shop, zone: zone.id });
  if (!answer || answer.zone !== zone.id) {
    return (
      <Card>
        <Heading>{PANEL_DESIGNER_WORDS.testPanel}</Heading>
        <Body>
          {answer === null
            ? PANEL_DESIGNER_WORDS.workingOutWhichStripsWouldTell
            : PANEL_DESIGNER_WORDS.noPanelIsProposedHere}
        </Body>
      </Card>
    );
  }
  return <Designer key={zone.id} zone={zone} proposal={answer} onMake={onMake} />;
}

function Designer({ zone, proposal, onMake }: { zone: Zone; proposal: Proposal; onMake: (panel: Panel) => void }) {
  const [id] = useState(makeId);
  const [treatments, setTreatments] = useState<readonly Treatment[]>(proposal.treatments);
  const [withControl, setWithControl] = useState(proposal.control !== null);
  const [replicates, setReplicates] = useState(proposal.replicates);
  const [kinds, setKinds] = useState<readonly TestKind[]>(proposal.kinds);
  const gauge = useMeasures().gauge('length_mm');
  const [width, setWidth] = useState(gauge.write(300));
  const [height, setHeight] = useState(gauge.write(200));
  const [seed, setSeed] = useState(1);
  const [prep, setPrep] = useState<PrepCode>(proposal.treatments[0]?.prep ?? 'scuff_150');
  const [primer, setPrimer] = useState<PrimerCode | 'none'>(proposal.treatments[0]?.primer ?? 'none');
  const design = designPanel({
    id,
    zone: zone.id,
    treatments,
    control: withControl ? proposal.control : null,
    replicates,
    width_mm: limitMm(gauge.read(width)),
    height_mm: limitMm(gauge.read(height)),
    kinds,
    seed,
  });
  const base = { ...treatments[0], product: undefined };
  return (
    <Card gap="$m" render="section" aria-label={PANEL_DESIGNER_WORDS.testPanel}>
      <Heading>
        {PANEL_DESIGNER_WORDS.testPanelForThe}
        {lowerFirst(zoneName(zone))}
      </Heading>
      <Body>{sayProposal(proposal)}</Body>
      {design.ok ? (
        <>
          <StripMap panel={design.panel} states={new Map()} picked={null} onPick={() => undefined} />
          <Column gap={2}>
            {listStrips(design.panel).map((line) => (
              <Small key={line}>{line}</Small>
            ))}
          </Column>
        </>
      ) : (
        <Small role="alert" color="$stop">
          {sayProblem(design, gauge.say)}
        </Small>
      )}
      <Row gap="$m">
        <Field label={PANEL_DESIGNER_WORDS.width} unit={gauge.unit} numeric value={width} onChange={setWidth} />
        <Field label={PANEL_DESIGNER_WORDS.height} unit={gauge.unit} numeric value={height} onChange={setHeight} />
      </Row>
      <Disclosure label={PANEL_DESIGNER_WORDS.changeTheStrips}>
        {() => (
          <Column gap="$m">
            <Strong>{PANEL_DESIGNER_WORDS.treatments}</Strong>
            {treatments.map((treatment, i) => (
              <Row key={describeTreatment(treatment)} gap="$s" alignItems="center" justifyContent="space-between">
                <Body flex={1}>{describeTreatment(treatment)}</Body>
                <Button
                  look="quiet"
                  label={PANEL_DESIGNER_WORDS.leaveOutNamed(describeTreatment(treatment))}
                  onPress={() => setTreatments(treatments.filter((_, k) => k !== i))}
                >
                  {PANEL_DESIGNER_WORDS.leaveOut}
                </Button>
              </Row>
            ))}
            <Choices
              label={PANEL_DESIGNER_WORDS.preparation}
              options={PREPS.map((code) => ({ code, label: PREP_FACTS[code].label }))}
              value={prep}
              onPick={setPrep}
            />
            <Choices
              label={PANEL_DESIGNER_WORDS.primer}
              options={[
                ...PRIMERS.map((code) => ({ code, label: PRIMER_FACTS[code].label })),
                { code: 'none' as const, label: PANEL_DESIGNER_WORDS.noPrimer },
              ]}
              value={primer}
              onPick={setPrimer}
            />
            <Row gap="$s" flexWrap="wrap">
              <Button
                onPress={() =>
                  setTreatments(addNew(treatments, [{ ...base, prep, primer, coats: primer === 'none' ? 0 : 1 }]))
                }
              >
                {PANEL_DESIGNER_WORDS.addThisTreatment}
              </Button>
              <Button
                onPress={() => {
                  setTreatments(
                    crossFactors(['none', prep], ['none', primer === 'none' ? 'bonding_primer_wb' : primer], base),
                  );
                  setWithControl(false);
                }}
              >
                {PANEL_DESIGNER_WORDS.sandedOrNotPrimedOrNot}
              </Button>
            </Row>
            {proposal.control ? (
              <Toggle
                label={PANEL_DESIGNER_WORDS.withAControl}
                on={withControl}
                onPress={() => setWithControl(!withControl)}
              />
            ) : null}
            <Choices
              label={PANEL_DESIGNER_WORDS.stripsOfEach}
              options={['1', '2', '3', '4'].map((code) => ({
                code,
                label: code === '1' ? PANEL_DESIGNER_WORDS.oneOfEach : PANEL_DESIGNER_WORDS.ofEach(code),
              }))}
              value={String(replicates)}
              onPick={(code) => setReplicates(Number(code))}
            />
            <Row gap="$s" flexWrap="wrap">
              {COMMON_KIND_OPTIONS.map(({ code, label }) => (
                <Toggle
                  key={code}
                  label={label}
                  on={kinds.includes(code)}
                  onPress={() =>
                    setKinds(kinds.includes(code) ? kinds.filter((kind) => kind !== code) : [...kinds, code])
                  }
                />
              ))}
            </Row>
            <Button onPress={() => setSeed(seed + 1)}>{PANEL_DESIGNER_WORDS.drawAnotherOrder}</Button>
          </Column>
        )}
      </Disclosure>
      <Button look="main" disabled={!design.ok} onPress={() => design.ok && onMake({ ...design.panel, at: timeNow() })}>
        {PANEL_DESIGNER_WORDS.makeThisPanel}
      </Button>
    </Card>
  );
}

const limitMm = (mm = 0): number => Math.max(0, Math.min(10_000, mm));

function sayProblem(
  { problem, leastWidthMm, leastHeightMm }: Exclude<PanelDesign, { ok: true }>,
  say: (mm: number) => string,
): string {
  if (problem === 'nothing_to_test') return PANEL_DESIGNER_WORDS.addATreatment;
  if (problem === 'too_many') return PANEL_DESIGNER_WORDS.atMost12TreatmentsOnOne;
  return PANEL_DESIGNER_WORDS.tooSmallTheseStripsNeedLeave(say(leastWidthMm), say(leastHeightMm));
}

const addNew = (list: readonly Treatment[], more: readonly Treatment[]): Treatment[] => [
  ...list,
  ...more.filter((treatment) => !list.some((own) => treatmentKey(own) === treatmentKey(treatment))),
];
