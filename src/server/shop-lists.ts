import { KIND_LABELS } from '@/core/knowledge';
import { highestNumber, withShelf, type LogEntry, type ShelfItem, namePiece } from '@/core/dossier';
import { tellSale, type PieceAccount, type Sale, type ShopAccount } from '@/core/earned';
import { DEFAULT_CURRENCY } from '@/core/money';
import type { CountedReading, ReadingQuestion } from '@/core/learning';
import { gatherRecipes, type KeptRecipe } from '@/core/mix';
import { asksSummaries, isMeant, selectSummaries, type PiecesAsked, type PieceSummary } from '@/core/work';
import { goneAt } from '@/core/keeping';
import { findPatterns, type SymptomPattern } from '@/core/trouble';
import type { ChangedPieces, KindCount, PutAway } from '@/contract';
import { keepByPiece, type Judge, type PieceMark } from './judge';
import type { PieceTexts } from './piece-texts';
import type { ChangeMark, PieceHead, PieceStore, ShelfStore, WorkshopStore } from './db';

/**
 * Lists over all pieces, each no longer than what is looked at. What is worked out of a piece is kept until the piece
 * changes: it takes a diagnosis.
 */
export interface ShopLists {
  /** Pieces in work, whole, each as its JSON, and how many pieces there are in all. */
  listInWork: () => Promise<{ pieces: Buffer[]; total: number }>;
  /** A stretch of all pieces that are meant by some words, newest change first. */
  listSummaries: (
    page: PiecesAsked & { from: number; count: number },
  ) => Promise<{ pieces: PieceSummary[]; total: number }>;
  /** The readings that stand behind a figure of the findings. */
  listReadings: (asked: ReadingQuestion) => Promise<CountedReading[]>;
  /** Whole pieces that changed since a device last asked, the latest first, and those put in the bin since. */
  listChanged: (since: ChangeMark | null, most: number) => ChangedPieces;
  /** What is out of the lists: archived, or in the bin until a moment. */
  listPutAway: () => PutAway;
  /** What pieces with the same fault have in common. */
  listPatterns: () => Promise<SymptomPattern[]>;
  /** What pieces cost and earned: an account each, and that of the whole shop. */
  listAccounts: () => Promise<PieceAccount[]>;
  readEarned: (now: string) => Promise<ShopAccount>;
  /** How many pieces of each kind the shop met, most first. */
  countKinds: () => KindCount[];
  /** What pieces were sold for, in the shop's currency. */
  listSales: () => Promise<Sale[]>;
  /** Colours that were mixed, and for which pieces. */
  listRecipes: () => KeptRecipe[];
  /** Logged work that was timed. */
  listTimes: () => { log: LogEntry[] }[];
}

const nameHead = ({ kind, name }: Pick<PieceHead, 'kind' | 'name'>): string =>
  namePiece({ kind, ...(name === null ? {} : { name }) });

/** An owner's pace has long settled by then. */
const MOST_TIMES = 3000;

interface Stores {
  store: PieceStore;
  shelf: ShelfStore;
  workshop: WorkshopStore;
}

export function makeShopLists({ store, shelf, workshop }: Stores, { judge }: Judge, texts: PieceTexts): ShopLists {
  const summaries = keepByPiece<'summary'>(store, (dossier) => judge('summary', dossier));
  const stories = keepByPiece<'story'>(store, (dossier) => judge('story', dossier));
  let tins: ShelfItem[] = [];
  let priced = '';
  const keepAccounts = () => keepByPiece<'account'>(store, (dossier) => judge('account', withShelf(dossier, tins)));
  let accounts = keepAccounts();
  // A tin that is gone goes on telling what its paint cost.
  const listTins = () => [...shelf.list(), ...shelf.listRemoved()];
  const listAccounts = async (): Promise<PieceAccount[]> => {
    const now = listTins();
    // What paint cost is told by its tin: with another shelf every account is another.
    if (JSON.stringify(now) !== priced) {
      tins = now;
      priced = JSON.stringify(now);
      accounts = keepAccounts();
    }
    const all = await accounts(store.listDates().map(({ id, changed_at }) => ({ id, changedAt: changed_at })));
    return all.flatMap(({ judged }) => judged ?? []);
  };
  const currencyOfShop = (): string => workshop.find().setup.currency ?? DEFAULT_CURRENCY;
  return {
    listInWork: async () => ({
      pieces: await texts.listInWork(store.listTaken().map(({ id }) => id)),
      total: store.count(),
    }),
    listSummaries: async ({ from, count, ...asked }) => {
      const { find, kind, show } = asked;
      const tell = async (heads: readonly PieceMark[]): Promise<PieceSummary[]> =>
        (await summaries(heads)).map(({ judged }) => judged);
      const plain = find.trim() === '' && kind === null && show === 'all' && !asksSummaries(asked);
      if (plain) return { pieces: await tell(store.listPage({ from, count })), total: store.countShown() };
      const meant = store
        .listHeads(show === 'archived' ? 'archived' : 'shown')
        .filter((head) => kind === null || head.kind === kind)
        .filter((head) =>
          isMeant({ kind: head.kind, ...(head.name === null ? {} : { name: head.name }) }, find.trim()),
        );
      if (asksSummaries(asked)) {
        const wanted = selectSummaries(await tell(meant), asked);
        return { pieces: wanted.slice(from, from + count), total: wanted.length };
      }
      return {
        pieces: await tell(meant.slice(from, from + count)),
        total: meant.length,
      };
    },
    listPatterns: async () => findPatterns((await stories(store.listTaken())).flatMap(({ judged }) => judged ?? [])),
    listReadings: async (asked) => {
      const told: CountedReading[] = [];
      for (const id of store.listTested()) {
        const dossier = store.find(id);
        if (dossier) told.push(...(await judge('readings', dossier, asked)));
      }
      return told;
    },
    listChanged: (since, most) => {
      const { pieces, mark, ...rest } = store.listChangedSince(since, most);
      return {
        ...rest,
        pieces: pieces.map(({ id, changedAt }) => ({ dossier: store.find(id)!, changedAt })),
        mark: `${mark.life}-${mark.change}`,
      };
    },
    listPutAway: () => ({
      archived: store.listHeads('archived').map((head) => ({ id: head.id, name: nameHead(head) })),
      removed: store
        .listRemoved()
        .map(({ removedAt, ...head }) => ({ id: head.id, name: nameHead(head), goneAt: goneAt(removedAt) })),
    }),
    listAccounts,
    readEarned: async (now) => judge('shopAccount', await listAccounts(), currencyOfShop(), now, shelf.listRemoved()),
    countKinds: () => {
      const heads = store.listHeads('shown');
      return store.countKinds().map((own) => {
        const numbered = highestNumber(
          KIND_LABELS[own.kind],
          heads.filter(({ kind }) => kind === own.kind).map(nameHead),
        );
        return numbered > 0 ? { ...own, numbered } : own;
      });
    },
    listSales: async () => {
      const currency = currencyOfShop();
      return (await listAccounts()).flatMap((account) =>
        account.currency === currency ? (tellSale(account) ?? []) : [],
      );
    },
    listRecipes: () => gatherRecipes(store.listMixed().map((id) => store.find(id)!)),
    listTimes: () => store.listTimes(MOST_TIMES),
  };
}
