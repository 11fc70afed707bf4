import type { Dossier } from '@/core/dossier';
import { readShopAccount, tellAccount } from '@/core/earned';
import { listFindable } from '@/core/find';
import { fileExperience, findReadings, type ReadingQuestion } from '@/core/learning';
import { tellStory } from '@/core/trouble';
import { learnPace, orderShop, readPieceWork, summarisePiece, type ShopFacts } from '@/core/work';

/**
 * What is worked out of pieces for lists and search: a diagnosis each, some hundredths of a second. All of it is computed
 * apart from the thread that answers requests.
 */
const JUDGEMENTS = {
  summary: (dossier: Dossier) => summarisePiece(dossier),
  story: (dossier: Dossier) => tellStory(dossier),
  findable: (dossier: Dossier) => listFindable(dossier),
  experience: (dossier: Dossier) => fileExperience(dossier),
  account: (dossier: Dossier) => tellAccount(dossier),
  readings: (dossier: Dossier, asked: ReadingQuestion) => findReadings([dossier], asked),
  order: (
    texts: readonly Uint8Array[],
    facts: Omit<ShopFacts, 'pace'>,
    paced: Parameters<typeof learnPace>[0],
    before: readonly string[] | null,
  ) => {
    const shop = { ...facts, pace: learnPace(paced, facts.workshop.setup.pace) };
    const pieces = texts.map((text) => JSON.parse(Buffer.from(text).toString()) as Dossier);
    return orderShop(
      pieces.map((dossier) => readPieceWork(dossier, shop)),
      shop,
      before,
    );
  },
  shopAccount: (...asked: Parameters<typeof readShopAccount>) => readShopAccount(...asked),
} as const;

/** Makes a judgement that came as a message: its types were those of the one who asked. */
export const judgeNow = (what: Judgement, asked: readonly unknown[]): unknown =>
  (JUDGEMENTS[what] as (...own: unknown[]) => unknown)(...asked);

export type Judgement = keyof typeof JUDGEMENTS;
export type Asked<J extends Judgement> = Parameters<(typeof JUDGEMENTS)[J]>;
export type Judged<J extends Judgement> = ReturnType<(typeof JUDGEMENTS)[J]>;
