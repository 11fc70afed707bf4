import { Body, Column, Disclosure, Notice, Small, Strong } from '@/client/ui';
import { nameZone, type Choice, type Dossier, type Stack } from '@/core/dossier';
import { labelProduct } from '@/core/knowledge';
import { describeChance, formatChanceRange } from '@/core/shared';
import type { Plan } from '@/core/systems';
import { sayRuledOut } from '@/words';
import { sayDifference } from './difference';
import { useMeasures, useToday } from '@/client/store';
import { sayDate } from '@/client/features/shop-plan';

/** A better system is named only when it is worth this much more, in money. */
const WORTH_NAMING = 3;

const describeStack = ({ prep, primers, paint, paint_coats, topcoat }: Stack): string =>
  [prep, ...primers.map(({ code, coats }) => `${code}×${coats}`), paint, paint_coats, topcoat].join();
/** Colours were not kept with a system once: one that says none is of whatever was wished. */
const isOfColours = (a: Stack, b: Stack): boolean =>
  a.colour === undefined || b.colour === undefined || (a.colour === b.colour && a.second_colour === b.second_colour);

export const isSame = (a: Stack | undefined, b: Stack | undefined): boolean =>
  a !== undefined && b !== undefined && describeStack(a) === describeStack(b) && isOfColours(a, b);

/** The system the owner took, with its date: still right, no longer allowed, or overtaken by what is known now. */
export function TakenNotice({ dossier, plan }: { dossier: Dossier; plan: Plan }) {
  const { chosen, earlier_choices: earlier = [] } = dossier;
  const now = useToday();
  const { sayMoney } = useMeasures();
  if (!chosen || !plan.taken) return null;
  const { system, broken } = plan.taken;
  const best = plan.systems[0];
  const day = chosen.at ? sayDate(chosen.at, now) : 'an earlier day';
  const versions = `Version ${earlier.length + 1}, taken on ${day}`;
  const name = (id: string): string => nameZone(dossier, id);
  return (
    <Column gap="$s">
      {broken.length > 0 ? (
        <Notice tone="stop" title={`${versions}: a rule now forbids it`}>
          {broken.map(({ zone, finding }) => `${name(zone)}: ${sayRuledOut(finding)}`).join(' ')}
        </Notice>
      ) : system && best && best.totalCost < system.totalCost - WORTH_NAMING ? (
        <Notice tone="wait" title={`${versions}: something better is known now`}>
          {`Yours stays as it is. As things stand about ${formatChanceRange(system.risk.overall, system.patches)} go wrong. Against it, the best below: ${sayDifference(system, best, sayMoney)}.`}
        </Notice>
      ) : (
        <Notice tone="go" title={versions}>
          Nothing that was learned since speaks against it.
        </Notice>
      )}
      <Disclosure label={`What was assumed then${earlier.length > 0 ? `, and ${earlier.length} earlier` : ''}`}>
        {() => (
          <Column gap="$m">
            {[chosen, ...earlier.toReversed()].map((choice, i) => (
              <Version key={choice.at ?? i} choice={choice} name={name} />
            ))}
          </Column>
        )}
      </Disclosure>
    </Column>
  );
}

function Version({ choice, name }: { choice: Choice; name: (id: string) => string }) {
  const { at, figures, zones, assumes = [] } = choice;
  const now = useToday();
  const { sayMoney } = useMeasures();
  return (
    <Column gap="$xs">
      <Strong>{at ? `Taken on ${sayDate(at, now)}` : 'Taken earlier'}</Strong>
      {figures ? (
        <Small>{`Then: goes wrong ${describeChance(figures.risk)}, ${figures.hands_on_min} min of hands, ${figures.elapsed_h} h in all, materials ${sayMoney(figures.materials_cost)}`}</Small>
      ) : null}
      {zones.map(({ id, stack }) => (stack ? <Body key={id}>{`${name(id)}: ${sayStack(stack)}`}</Body> : null))}
      {assumes.map((text) => (
        <Small key={text}>{text}</Small>
      ))}
    </Column>
  );
}

function sayStack({ primers, paint, topcoat }: Stack): string {
  const layers = [
    ...primers.map(({ code, coats }) => `${labelProduct(code)}${coats > 1 ? ` ×${coats}` : ''}`),
    ...(paint ? [labelProduct(paint)] : []),
    ...(topcoat === 'none' ? [] : [labelProduct(topcoat)]),
  ];
  return layers.join(', ') || 'left as it is';
}
