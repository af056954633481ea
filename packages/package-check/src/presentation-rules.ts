/** How the parts of a presentation belong together (ECMA-376-1 §13.3, §19.2). */
import type { Package } from './open-package.ts';
import { attribute, elements, repeated, values } from './xml.ts';

/** What each kind of part must lead to exactly once. */
const NEEDS: Readonly<Record<string, readonly string[]>> = {
  slide: ['slideLayout'],
  slideLayout: ['slideMaster'],
  slideMaster: ['theme'],
  notesSlide: ['slide', 'notesMaster'],
  notesMaster: ['theme'],
};

const kindOf = (opened: Package, part: string): string | undefined =>
  /presentationml\.(\w+)(?:\.main)?\+xml$/.exec(opened.typeOf(part) ?? '')?.[1];

export function presentationRules(opened: Package): void {
  const [main] = opened.related('', 'officeDocument');
  if (main === undefined) {
    opened.fault('', 'nothing says which part is the main one');
    return;
  }
  if (!/presentationml\.(presentation|template|slideshow)/.test(opened.typeOf(main) ?? '')) return;
  for (const part of opened.names)
    for (const type of NEEDS[kindOf(opened, part) ?? ''] ?? [])
      if (opened.related(part, type).length !== 1)
        opened.fault(part, `it leads to ${opened.related(part, type).length} parts of type ${type}, not to one`);
  checkLists(opened, main);
  checkNotes(opened);
  checkComments(opened, main);
}

/** Slides, masters and layouts are listed with ids of their own, and sections name slides that are there. */
function checkLists(opened: Package, main: string): void {
  const tree = opened.tree(main);
  if (tree === undefined) return;
  const slideIds = values(tree, '/p:presentation/p:sldIdLst/p:sldId/@id');
  const by = values(tree, '/p:presentation/p:sldIdLst/p:sldId/@r:id');
  for (const id of repeated(slideIds)) opened.fault(main, `two slides have the id ${id}`);
  for (const id of repeated(by)) opened.fault(main, `the slide ${id} is listed twice`);
  for (const { id, type, target } of opened.relationships(main).values())
    if (type === 'slide' && !by.includes(id)) opened.fault(main, `the slide ${target} is not listed`);
  const masters = opened.related(main, 'slideMaster');
  const layoutIds = masters.flatMap((master) => {
    const own = opened.tree(master);
    return own === undefined ? [] : values(own, '/p:sldMaster/p:sldLayoutIdLst/p:sldLayoutId/@id');
  });
  for (const id of repeated([...values(tree, '/p:presentation/p:sldMasterIdLst/p:sldMasterId/@id'), ...layoutIds]))
    opened.fault(main, `two masters or layouts have the id ${id}`);
  const sections = elements(tree, '//p14:sectionLst/p14:section');
  for (const id of repeated(sections.map((section) => attribute(section, 'id') ?? '')))
    opened.fault(main, `two sections have the id ${id}`);
  const listed = values(tree, '//p14:sectionLst//p14:sldId/@id');
  for (const id of repeated(listed)) opened.fault(main, `the slide ${id} stands in two sections`);
  for (const id of listed)
    if (!slideIds.includes(id)) opened.fault(main, `a section names a slide that is not there: ${id}`);
  if (sections.length > 0)
    for (const id of slideIds) if (!listed.includes(id)) opened.fault(main, `the slide ${id} stands in no section`);
}

/** A page of notes and its slide name each other. */
function checkNotes(opened: Package): void {
  for (const part of opened.names) {
    if (kindOf(opened, part) === 'slide' && opened.related(part, 'notesSlide').length > 1)
      opened.fault(part, 'it has two pages of notes');
    if (kindOf(opened, part) !== 'notesSlide') continue;
    for (const slide of opened.related(part, 'slide'))
      if (!opened.related(slide, 'notesSlide').includes(part))
        opened.fault(part, `${slide} does not know of these notes`);
  }
}

function checkComments(opened: Package, main: string): void {
  const authors = new Set(
    opened.related(main, 'commentAuthors').flatMap((part) => {
      const tree = opened.tree(part);
      const ids = tree === undefined ? [] : values(tree, '/p:cmAuthorLst/p:cmAuthor/@id');
      for (const id of repeated(ids)) opened.fault(part, `two authors have the id ${id}`);
      return ids;
    }),
  );
  const numbers: string[] = [];
  for (const part of opened.names) {
    if (kindOf(opened, part) !== 'comments') continue;
    const tree = opened.tree(part);
    for (const comment of tree === undefined ? [] : elements(tree, '/p:cmLst/p:cm')) {
      const author = attribute(comment, 'authorId') ?? '';
      if (!authors.has(author)) opened.fault(part, `a comment is by an author who is not there: ${author}`);
      numbers.push(`${author} ${attribute(comment, 'idx') ?? ''}`);
    }
  }
  for (const number of repeated(numbers)) opened.fault(main, `two comments have the author and number ${number}`);
}
