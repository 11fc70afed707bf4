import { withShelf, type Dossier, type LogEntry, type ShelfItem, namePiece } from '@/core/dossier';
import { readShopAccount, tellAccount, tellSale, type PieceAccount, type Sale, type ShopAccount } from '@/core/earned';
import { DEFAULT_CURRENCY } from '@/core/money';
import { findReadings, type CountedReading, type ReadingQuestion } from '@/core/learning';
import { gatherRecipes, type KeptRecipe } from '@/core/mix';
import {
  asksSummaries,
  isInWork,
  isMeant,
  selectSummaries,
  summarisePiece,
  type PiecesAsked,
  type PieceSummary,
} from '@/core/work';
import { goneAt } from '@/core/keeping';
import { findPatterns, tellStory, type SymptomPattern } from '@/core/trouble';
import type { ChangedPieces, KindCount, PutAway } from '@/contract';
import { keepByPiece } from './keep-by-piece';
import type { ChangeMark, PieceHead, PieceStore, ShelfStore, WorkshopStore } from './db';

/**
 * Lists over all pieces, each no longer than what is looked at. What is worked out of a piece is kept until the piece
 * changes: it takes a diagnosis.
 */
export interface ShopLists {
  /** Pieces in work, whole, and how many pieces there are in all. */
  listInWork: () => { pieces: Dossier[]; total: number };
  /** A stretch of all pieces that are meant by some words, newest change first. */
  listSummaries: (page: PiecesAsked & { from: number; count: number }) => { pieces: PieceSummary[]; total: number };
  /** The readings that stand behind a figure of the findings. */
  listReadings: (asked: ReadingQuestion) => CountedReading[];
  /** Whole pieces that changed since a device last asked, the latest first, and those put in the bin since. */
  listChanged: (since: ChangeMark | null, most: number) => ChangedPieces;
  /** What is out of the lists: archived, or in the bin until a moment. */
  listPutAway: () => PutAway;
  /** What pieces with the same fault have in common. */
  listPatterns: () => SymptomPattern[];
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

/** Pieces that are told without a pause. */
const AT_A_TIME = 50;

/** An owner's pace has long settled by then. */
const MOST_TIMES = 3000;

export function makeShopLists(store: PieceStore, shelf: ShelfStore, workshop: WorkshopStore): ShopLists {
  const summaries = keepByPiece(store, (id) => summarisePiece(store.find(id)!));
  const works = keepByPiece(store, (id) => isInWork(store.find(id)!));
  const stories = keepByPiece(store, (id) => tellStory(store.find(id)!));
  let tins: readonly ShelfItem[] = [];
  let priced = '';
  // It may have been taken away meanwhile.
  const tell = (id: string): PieceAccount | null => {
    const piece = store.find(id);
    return piece ? tellAccount(withShelf(piece, tins)) : null;
  };
  let accounts = keepByPiece(store, tell);
  // A tin that is gone goes on telling what its paint cost.
  const listTins = () => [...shelf.list(), ...shelf.listRemoved()];
  const listAccounts = async (): Promise<PieceAccount[]> => {
    const now = listTins();
    // What paint cost is told by its tin: with another shelf every account is another.
    if (JSON.stringify(now) !== priced) {
      tins = now;
      priced = JSON.stringify(now);
      accounts = keepByPiece(store, tell);
    }
    const told: PieceAccount[] = [];
    for (const [i, { id, changed_at }] of store.listDates().entries()) {
      // The first time takes a diagnosis of each piece: others are answered in between.
      if (i % AT_A_TIME === AT_A_TIME - 1) await new Promise(setImmediate);
      const account = accounts(id, changed_at);
      if (account) told.push(account);
    }
    return told;
  };
  const currencyOfShop = (): string => workshop.find().setup.currency ?? DEFAULT_CURRENCY;
  return {
    listInWork: () => ({
      pieces: store
        .listTaken()
        .filter(({ id, changedAt }) => works(id, changedAt))
        .map(({ id }) => store.find(id)!),
      total: store.count(),
    }),
    listSummaries: ({ from, count, ...asked }) => {
      const { find, kind, show } = asked;
      const tell = (heads: readonly { id: string; changedAt: string }[]): PieceSummary[] =>
        heads.map(({ id, changedAt }) => summaries(id, changedAt));
      const plain = find.trim() === '' && kind === null && show === 'all' && !asksSummaries(asked);
      if (plain) return { pieces: tell(store.listPage({ from, count })), total: store.countShown() };
      const meant = store
        .listHeads(show === 'archived' ? 'archived' : 'shown')
        .filter((head) => kind === null || head.kind === kind)
        .filter((head) =>
          isMeant({ kind: head.kind, ...(head.name === null ? {} : { name: head.name }) }, find.trim()),
        );
      if (asksSummaries(asked)) {
        const wanted = selectSummaries(tell(meant), asked);
        return { pieces: wanted.slice(from, from + count), total: wanted.length };
      }
      return {
        pieces: tell(meant.slice(from, from + count)),
        total: meant.length,
      };
    },
    listPatterns: () => findPatterns(store.listTaken().flatMap(({ id, changedAt }) => stories(id, changedAt) ?? [])),
    listReadings: (asked) => store.listTested().flatMap((id) => findReadings([store.find(id)!], asked)),
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
    readEarned: async (now) => readShopAccount(await listAccounts(), currencyOfShop(), now, shelf.listRemoved()),
    countKinds: () => store.countKinds(),
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
