import { Body, Column, Disclosure, Small, Strong } from '@/client/ui';
import { Coloured } from '@/client/features/colour';
import { useMeasures } from '@/client/store';
import { nameZone, type Dossier } from '@/core/dossier';
import { mergeJobs, type CoatingSystem } from '@/core/systems';
import { JOB_LIST_WORDS, nameStep } from '@/words';

/** The whole piece as one list: what is the same on several zones is done in one go. */
export function JobList({ system, dossier }: { system: CoatingSystem; dossier: Dossier }) {
  const { sayVolume } = useMeasures();
  const jobs = mergeJobs(system.zones, dossier.goal?.application);
  const all = system.zones.filter(({ stack }) => stack.paint ?? stack.topcoat !== 'none').length;
  const name = (id: string): string => nameZone(dossier, id);
  return (
    <Disclosure label={JOB_LIST_WORDS.theWorkInOrderJobsFor(jobs.length)}>
      {() => (
        <Column role="list" gap="$m">
          {jobs.map((job, i) => (
            <Column key={i} role="listitem">
              <Strong>{`${i + 1}. ${nameStep(job.step)}`}</Strong>
              {job.colour ? <Coloured colour={job.colour} /> : null}
              <Small>
                {[
                  JOB_LIST_WORDS.min(job.minutes + job.sharedMin),
                  job.ml > 0 ? sayVolume(job.ml) : '',
                  job.waitH > 0 ? JOB_LIST_WORDS.thenH(job.waitH) : '',
                ]
                  .filter(Boolean)
                  .join(' · ')}
              </Small>
              <Body>
                {job.zones.length >= all && all > 1
                  ? JOB_LIST_WORDS.everyZoneThatIsPainted
                  : job.zones.map(name).join(', ')}
              </Body>
            </Column>
          ))}
        </Column>
      )}
    </Disclosure>
  );
}
