/** The open deck as the worker made it of document and edits. */
import type { DeckSummary } from '@alvex/contract';
import {
  isStructureChange,
  restructureBlocks,
  singleEdits,
  type Block,
  type BranchRule,
  type Destination,
  type Diagnostic,
  type Edit,
  type LevelMap,
  type LogEntry,
  type Picture,
} from '@alvex/core';
import { create } from 'zustand';
import type { Told } from '../worker/protocol.ts';
import type { ChangedDocument, Presets, Structure, View } from '../worker/shown.ts';

export interface DeckState {
  readonly phase: 'none' | 'opening' | 'open' | 'failed';
  readonly failure: string | null;
  readonly deck: DeckSummary | null;
  /** Of the document. */
  readonly language: string | null;
  readonly blocks: readonly Block[];
  readonly blockById: ReadonlyMap<string, Block>;
  /** Of the document, by their ids. */
  readonly pictures: ReadonlyMap<string, Picture>;
  readonly diagnostics: readonly Diagnostic[];
  /** What the worker found in the document's structure; null until it has looked. */
  readonly structure: Structure | null;
  readonly presets: Presets;
  readonly view: Omit<View, 'destinations' | 'turned' | 'seen' | 'document'> | null;
  readonly destinations: ReadonlyMap<string, Destination>;
  /** Blocks whose mark was turned by hand. */
  readonly turned: ReadonlySet<string>;
  /** Whether edits were made that `view` does not show yet. */
  readonly pending: boolean;
  /** The map that was laid on the document last, where `view` does not show it yet. */
  readonly laid: LaidMap | null;
}

export interface LaidMap {
  readonly map: LevelMap;
  readonly branches: readonly BranchRule[];
}

const EMPTY: DeckState = {
  phase: 'none',
  failure: null,
  deck: null,
  language: null,
  blocks: [],
  blockById: new Map(),
  pictures: new Map(),
  diagnostics: [],
  structure: null,
  presets: {},
  view: null,
  destinations: new Map(),
  turned: new Set(),
  pending: false,
  laid: null,
};

export const useDeck = create<DeckState>(() => EMPTY);
const { setState: set, getState: get } = useDeck;

export const clearDeck = (phase: 'none' | 'opening'): void => set({ ...EMPTY, phase });
export const failDeck = (failure: string): void => set({ phase: 'failed', failure });
export const renamed = (deck: DeckSummary): void => set({ deck });

type Blocks = Pick<DeckState, 'blocks' | 'blockById'>;
const indexed = (blocks: readonly Block[]): Blocks => ({
  blocks,
  blockById: new Map(blocks.map((block) => [block.id, block])),
});

const byId = (pictures: readonly Picture[]) => new Map(pictures.map((picture) => [picture.id, picture]));

export const takeDocument = ({ language, blocks, pictures, diagnostics, presets }: Told<'document'>): void =>
  set({ ...indexed(blocks), pictures: byId(pictures), language, diagnostics, presets, structure: null });

export const takeStructure = ({ groups, made, findings }: Told<'structure'>): void =>
  set({ structure: { groups, made, findings } });

export const awaitView = (): void => set({ pending: true });

/** @param isLast Whether it shows all edits that were made. */
export function takeView({ destinations: changed, turned, seen: _, document, ...view }: View, isLast: boolean): void {
  const state = get();
  set({
    ...(document === undefined ? {} : withDocument(state.blockById, document)),
    ...(turned === undefined ? {} : { turned: new Set(turned) }),
    destinations: changed.length === 0 ? state.destinations : new Map([...state.destinations, ...changed]),
    view,
    phase: 'open',
    pending: !isLast,
    laid: isLast ? null : state.laid,
  });
}

function withDocument(
  before: DeckState['blockById'],
  { order, blocks: changed, pictures, presets }: ChangedDocument,
): Blocks & Pick<DeckState, 'pictures' | 'presets'> {
  const fresh = new Map(changed.map((block) => [block.id as string, block]));
  return {
    ...indexed(order.flatMap((id) => fresh.get(id) ?? before.get(id) ?? [])),
    pictures: byId(pictures),
    presets,
  };
}

/** Changes of structure and of the map are seen at once, and built upon; what the worker makes of them follows. */
export function showAhead(entries: readonly LogEntry[]): void {
  const { blocks, laid } = get();
  const changes = singleEdits(entries.filter((entry): entry is Edit => entry.kind !== 'undo' && entry.kind !== 'redo'));
  const last = changes.findLast((change) => change.kind === 'map');
  const isBack = entries.some(({ kind }) => kind === 'undo' || kind === 'redo');
  if (last !== undefined) set({ laid: { map: last.map, branches: last.branches ?? [] } });
  else if (isBack && laid !== null) set({ laid: null });
  // Of another edition, whose blocks come with the worker's answer.
  if (changes.some(({ kind }) => kind === 'edition')) return;
  const changed = restructureBlocks(blocks, changes.filter(isStructureChange)).blocks;
  if (changed !== blocks) set(indexed(changed));
}

/** The map in force: what was laid last counts before the deck shows it. */
export const mapInForce = ({ laid, view }: DeckState): LaidMap | null =>
  laid ?? (view === null ? null : { map: view.map, branches: view.mapBranches });
export const useMap = (): LevelMap | undefined => useDeck((state) => state.laid?.map ?? state.view?.map);

export const usePictures = (): DeckState['pictures'] => useDeck((state) => state.pictures);

/** Language of the document, so that it is not read aloud in that of the interface. */
export const useLanguage = (): string | undefined => useDeck((state) => state.language ?? undefined);
