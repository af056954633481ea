/** What the edits decide before slides are made: map, look, and what single blocks become. */
import { WHOLE, type Destination, type FullRule, type LevelMap, type MatterKind, type Prose } from '../deck/index.ts';
import { DEFAULT_DESIGN, plainLook, type DeckLook, type TemplateUse } from '../theme/index.ts';
import type { Edit, TakeSettings, Target } from './edit.ts';

export interface Decisions {
  readonly map: { readonly name: string | null; readonly map: LevelMap } | undefined;
  readonly prose: Prose;
  readonly branches: readonly BranchDecision[];
  readonly look: DeckLook;
  readonly template: TemplateUse | null;
  readonly full: FullRule;
  /** Front and back matter that was asked for or sent away; what is absent is as usual. */
  readonly matter: ReadonlyMap<MatterKind, boolean>;
  readonly target: Target | null;
  readonly pace: number /* words a minute */;
  readonly takes: ReadonlyMap<string, TakeSettings>;
  /** Separators and page breaks start slides. */
  readonly breaks: boolean;
  readonly turned: ReadonlyMap<string, Destination>;
  readonly cuts: ReadonlySet<string>;
  readonly joins: ReadonlySet<string>;
}

type BranchDecision = Omit<Edit & { kind: 'branch' }, 'kind' | 'to'> & { readonly to: Destination };

/** Words a minute, spoken to an audience. */
export const USUAL_PACE = 130;

export function decide(edits: readonly Edit[]): Decisions {
  let map: Decisions['map'];
  let prose = WHOLE;
  let branches: readonly BranchDecision[] = [];
  let template: TemplateUse | null = null;
  let look = plainLook(DEFAULT_DESIGN.name);
  let full: FullRule = 'continue';
  let target: Target | null = null;
  let pace = USUAL_PACE;
  let breaks = false;
  const matter = new Map<MatterKind, boolean>();
  const takes = new Map<string, TakeSettings>();
  const turned = new Map<string, Destination>();
  const cuts = new Set<string>();
  const joins = new Set<string>();
  for (const edit of edits) {
    switch (edit.kind) {
      case 'map':
        map = { name: edit.name, map: edit.map };
        prose = edit.prose ?? prose;
        break;
      case 'prose':
        prose = edit.prose;
        break;
      case 'branch': {
        const { block, text, to } = edit;
        branches = branches.filter((one) => one.block !== block || one.text !== text);
        if (to !== null) branches = [...branches, { block, text, to }];
        break;
      }
      case 'theme':
        look = { ...look, theme: edit.theme };
        break;
      case 'palette':
        look = { ...look, palette: edit.palette };
        break;
      case 'mode':
        look = { ...look, dark: edit.dark };
        break;
      case 'fonts':
        look = { ...look, fonts: edit.pair };
        break;
      case 'type': {
        const { [edit.role]: _, ...others } = look.rules;
        look = { ...look, rules: edit.rule === null ? others : { ...others, [edit.role]: edit.rule } };
        break;
      }
      case 'template':
        template = edit.template;
        break;
      case 'foot':
        look = { ...look, foot: edit.foot };
        break;
      case 'full':
        full = edit.rule;
        break;
      case 'matter':
        matter.set(edit.part, edit.on);
        break;
      case 'target':
        target = edit.target;
        break;
      case 'pace':
        pace = edit.rate;
        break;
      case 'take':
        if (edit.settings === null) takes.delete(edit.take);
        else takes.set(edit.take, edit.settings);
        break;
      case 'breaks':
        breaks = edit.start;
        break;
      case 'turn':
        if (edit.to === null) turned.delete(edit.block);
        else turned.set(edit.block, edit.to);
        break;
      case 'cut':
        joins.delete(edit.block);
        cuts.add(edit.block);
        break;
      case 'join':
        // A join takes back the cut that made the slide; else the slide is the document's own.
        if (!cuts.delete(edit.block)) joins.add(edit.block);
        break;
    }
  }
  return { map, prose, branches, look, template, full, matter, target, pace, takes, breaks, turned, cuts, joins };
}

/** Converts the document as a take does. */
export const takeEdits = ({ name, map, prose, full }: TakeSettings): readonly Edit[] => [
  { kind: 'map', name, map, prose },
  { kind: 'full', rule: full },
];
