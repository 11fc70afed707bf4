import type { ChangeRecord, Fact } from '../shared';
import type {
  Choice,
  Climate,
  Defect,
  Dossier,
  Handover,
  Hardware,
  LogEntry,
  Mix,
  MoneyFacts,
  Observation,
  Outcome,
  Override,
  Panel,
  Part,
  PieceFacts,
  Test,
  Trouble,
  ZoneFacts,
} from './schema';
import type { Goal } from './goal-schema';

type WithId<T> = T & { id: string };

/**
 * Everything that can happen to a stored piece. Each change carries ids made by whoever makes it, and doing it twice
 * is the same as doing it once; so a write whose answer was lost can simply be sent again.
 */
export type PieceChange = { type: 'piece_met'; dossier: Dossier } | ChangeOfPiece;

/** A picture that was taken and is on its way. Its bytes go by a door of their own, which makes the record of them. */
export interface PictureTaken {
  type: 'picture_taken';
  photoId: string;
  zoneId: string;
}

export type ChangeOfPiece =
  | { type: 'facts_changed'; facts: Fact[] }
  | { type: 'piece_facts_set'; piece: PieceFacts }
  | { type: 'zone_set'; zoneId: string; facts: ZoneFacts }
  | { type: 'zone_removed'; zoneId: string }
  | { type: 'observation_recorded'; zoneId: string; observation: WithId<Observation> }
  | { type: 'observation_withdrawn'; zoneId: string; observationId: string }
  | { type: 'skips_set'; zoneId: string; checks: string[] }
  | { type: 'defects_set'; zoneId: string; defects: Defect[] }
  | { type: 'goal_set'; goal: Goal }
  | { type: 'money_set'; money: MoneyFacts }
  | { type: 'handover_set'; handover: Handover }
  | { type: 'climate_set'; climate: Climate }
  | { type: 'photo_withdrawn'; photoId: string }
  | { type: 'choice_taken'; choice: Choice }
  | { type: 'test_logged'; test: WithId<Test> }
  | { type: 'test_withdrawn'; testId: string }
  | { type: 'gate_overridden'; override: WithId<Override> }
  | { type: 'panel_set'; panel: Panel }
  | { type: 'panel_removed'; panelId: string }
  | { type: 'outcome_recorded'; outcome: Outcome }
  | { type: 'trouble_set'; trouble: Trouble }
  | { type: 'trouble_removed'; troubleId: string }
  | { type: 'work_logged'; work: string; entries: LogEntry[] }
  | { type: 'work_withdrawn'; work: string }
  | { type: 'parts_set'; parts: Part[] }
  | { type: 'hardware_set'; hardware: Hardware[] }
  | { type: 'mix_set'; mix: Mix }
  | { type: 'mix_removed'; mixId: string };

export type ChangeType = ChangeOfPiece['type'];
export type ChangeNamed<T extends ChangeType> = Extract<ChangeOfPiece, { type: T }>;

export interface PieceChangeRecord<T extends ChangeType> extends ChangeRecord<Dossier, ChangeNamed<T>, ChangeOfPiece> {
  /** The zones it needs to find there; setting one may make it, and removing twice is removing once. */
  zones?: (change: ChangeNamed<T>) => readonly (string | undefined)[];
  /** It brings records with ids of their own, which no two may share. */
  bringsIds?: true;
  /** It sets a whole record: only what differs is sent, fact by fact, so that two who change different things lose nothing. */
  byFacts?: true;
}

export type RecordsOf<T extends ChangeType> = { [K in T]: PieceChangeRecord<K> };
