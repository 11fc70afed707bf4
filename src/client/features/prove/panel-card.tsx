import { timeNow } from '@/client/store';
import { useEffect, useState } from 'react';
import {
  Body,
  Button,
  Card,
  Column,
  Disclosure,
  Heading,
  Row,
  Small,
  StateMark,
  Strong,
  type Tone,
  printSvg,
} from '@/client/ui';
import type { writeEvents } from '@/core/calendar';
import { nameZone, type Dossier, type Panel, type Test } from '@/core/dossier';
import { concludePanel, drawStripMap, listReadings, scheduleMoments, type DueReading, type Moment } from '@/core/panel';
import { judgeTest, traceDrift } from '@/core/proof';
import { DriftChart } from './drift-chart';
import { PanelGrid } from './panel-grid';
import { StripMap, type StripState } from './strip-map';
import { lowerFirst } from '@/core/shared';
import { PANEL_CARD_WORDS, listStrips, sayMoment, sayPanel, sayPanelCalendar } from '@/words';
import { OWN_LOCALE } from '@/client/locale';

interface PanelCardProps {
  dossier: Dossier;
  panel: Panel;
  /** Which of several on this zone. */
  number: number | null;
  picked: string | null;
  onPick: (code: string) => void;
  onStart: (panel: Panel) => void;
  onLog: (test: Test & { id: string }) => void;
  onWithdraw: (id: string) => void;
  onRemove: () => void;
  onPhotograph: (moment: Moment) => void;
}

/** A panel: its map, what is due on it, and how its strips have held. */
export function PanelCard({
  dossier,
  panel,
  number,
  picked,
  onPick,
  onStart,
  onRemove,
  onPhotograph,
  onLog,
  onWithdraw,
}: PanelCardProps) {
  const [now] = useState(() => timeNow());
  const readings = listReadings({ ...dossier, panels: [panel] }, now);
  const next = readings[0];
  const title = `${dossier.piece.name ?? PANEL_CARD_WORDS.piece}, ${lowerFirst(nameZone(dossier, panel.zone))}`;
  const map = drawStripMap(panel, title, PANEL_CARD_WORDS.blackCornerTopLeftMarkIt(title), listStrips(panel));
  const moments = scheduleMoments(panel, dossier.climate);
  const read = (dossier.tests ?? []).some((test) => test.panel === panel.id);
  const shown = concludePanel(dossier, panel);
  return (
    <Card gap="$m" render="section" aria-label={PANEL_CARD_WORDS.panelNumber(number, panel.coated_at)}>
      <Heading>{PANEL_CARD_WORDS.panelNumber(number, panel.coated_at)}</Heading>
      {next ? <Due reading={next} onPhotograph={onPhotograph} /> : null}
      {panel.coated_at && !next ? <StateMark tone="go">{PANEL_CARD_WORDS.allReadingsOfItAreIn}</StateMark> : null}
      <PanelGrid dossier={dossier} panel={panel} onLog={onLog} onWithdraw={onWithdraw} />
      {shown.read > 0 ? (
        <Column gap="$xs" role="group" aria-label={PANEL_CARD_WORDS.whatItShows}>
          <Strong>{sayPanel(shown)}</Strong>
          {shown.ranked.map((own) => (
            <Small key={own.name + String(own.control)}>
              {PANEL_CARD_WORDS.cameOut(own.name, own.held, own.failed, own.unread)}
            </Small>
          ))}
        </Column>
      ) : null}
      <StripMap panel={panel} states={judgeStrips(dossier, panel)} picked={picked} onPick={onPick} />
      <Column gap={2}>
        {listStrips(panel).map((line) => (
          <Small key={line}>{line}</Small>
        ))}
      </Column>
      {panel.coated_at ? null : (
        <Column gap="$s">
          <Body>{PANEL_CARD_WORDS.maskTheStripsWriteNoCode}</Body>
          <Button look="main" onPress={() => onStart({ ...panel, coated_at: timeNow() })}>
            {PANEL_CARD_WORDS.firstCoatIsOnStartThe}
          </Button>
        </Column>
      )}
      <DriftChart drifts={traceDrift(dossier, panel.id)} />
      <Disclosure label={PANEL_CARD_WORDS.timesMapToPrintCalendar}>
        {() => (
          <Column gap="$m">
            <Column gap="$s" role="list" aria-label={PANEL_CARD_WORDS.timesOfThePanel}>
              {moments.map((moment, i) => (
                <Row key={i} role="listitem" gap="$m" justifyContent="space-between">
                  <Body flex={1}>{sayMoment(moment)}</Body>
                  <Strong>{sayWhen(moment, panel.coated_at)}</Strong>
                </Row>
              ))}
            </Column>
            <Row gap="$s" flexWrap="wrap" alignItems="center">
              <Button onPress={() => printSvg(map)}>{PANEL_CARD_WORDS.printTheMap}</Button>
              <SaveLink name="strip-map.svg" type="image/svg+xml" text={map}>
                {PANEL_CARD_WORDS.saveTheMapSvg}
              </SaveLink>
              <SaveTimes title={title} panel={panel} moments={moments} now={now} />
            </Row>
            {read ? null : (
              <Button look="quiet" onPress={onRemove}>
                {PANEL_CARD_WORDS.throwThisPanelAway}
              </Button>
            )}
          </Column>
        )}
      </Disclosure>
    </Card>
  );
}

/** What writes the file is fetched with the first look at it. */
function SaveTimes({ title, panel, moments, now }: { title: string; panel: Panel; moments: Moment[]; now: string }) {
  const [write, setWrite] = useState<typeof writeEvents | null>(null);
  useEffect(() => {
    void import('@/core/calendar').then((calendar) => setWrite(() => calendar.writeEvents));
  }, []);
  if (!write) return null;
  return (
    <SaveLink
      name="panel.ics"
      type="text/calendar"
      text={write(sayPanelCalendar(title, panel.id, moments, panel.coated_at ?? now), now)}
    >
      {PANEL_CARD_WORDS.saveTheTimesCalendar}
    </SaveLink>
  );
}

function SaveLink({ name, type, text, children }: { name: string; type: string; text: string; children: string }) {
  return (
    <a
      href={`data:${type};charset=utf-8,${encodeURIComponent(text)}`}
      download={name}
      style={{ color: 'inherit', display: 'inline-block', padding: '14px 4px' }}
    >
      {children}
    </a>
  );
}

const TONES: Record<DueReading['state'], Tone> = { later: 'wait', due: 'act', overdue: 'stop' };

function Due({ reading, onPhotograph }: { reading: DueReading; onPhotograph: (moment: Moment) => void }) {
  const words = { later: PANEL_CARD_WORDS.next, due: PANEL_CARD_WORDS.dueNow, overdue: PANEL_CARD_WORDS.overdue }[
    reading.state
  ];
  return (
    <Column gap="$s">
      <StateMark tone={TONES[reading.state]}>{`${words}: ${lowerFirst(sayMoment(reading.moment))}`}</StateMark>
      <Small>{PANEL_CARD_WORDS.strips(sayDate(reading.dueAt), reading.strips.join(', '))}</Small>
      {reading.moment.bleedAt && reading.state !== 'later' ? (
        <Button onPress={() => onPhotograph(reading.moment)}>{PANEL_CARD_WORDS.measureBleedFromAPhotograph}</Button>
      ) : null}
    </Column>
  );
}

const sayDate = (iso: string): string =>
  new Date(iso).toLocaleString(OWN_LOCALE, {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
  });

function sayWhen({ atH }: Moment, start: string | undefined): string {
  if (start) return sayDate(new Date(Date.parse(start) + atH * 3_600_000).toISOString());
  return atH < 48 ? PANEL_CARD_WORDS.h(Math.round(atH)) : PANEL_CARD_WORDS.d(Math.round(atH / 24));
}

/** The worst that is known of each strip: one failure at the right age fails it. */
function judgeStrips(dossier: Dossier, panel: Panel): Map<string, StripState> {
  const order: readonly StripState[] = ['unread', 'incomplete', 'early', 'pass', 'fail'];
  const states = new Map<string, StripState>();
  for (const test of dossier.tests ?? []) {
    if (test.panel !== panel.id || !test.strip) continue;
    const { verdict } = judgeTest(test, dossier);
    const before = states.get(test.strip) ?? 'unread';
    if (order.indexOf(verdict) > order.indexOf(before)) states.set(test.strip, verdict);
  }
  return states;
}
