/** What is told of each case: a ratio, what it should be, and whether it is. */
const ms = (value) => `${value < 100 ? value.toFixed(1) : Math.round(value)} ms`;
const times = (value) => `${value.toFixed(2)} ×`;

/** @param out Folder for files that cases make. */
export function measure({ wanted, run, inTurns, row, join, out }) {
  if (wanted('command')) {
    const [node, short] = inTurns('command', ['node', 'short']);
    row(
      'a short document to a presentation by the command from a cold start, to the start of Node',
      `${times(short.ms / node.ms)} (${ms(short.ms)} / ${ms(node.ms)})`,
      '',
      true,
    );
    const [one, all] = inTurns('command', ['one', 'all']);
    row(
      `a folder of 200 documents, one at a time to ${all.extra.jobs} at once`,
      `${times(one.ms / all.ms)} (${ms(one.ms)} / ${ms(all.ms)})`,
      '',
      true,
    );
  }

  if (wanted('docx')) {
    const file = join(out, 'report.docx');
    run('docx', 'floor', file);
    const [floor, ours] = inTurns('docx', ['floor', 'ours'], file);
    const mammoth = run('docx', 'mammoth', file);
    row(
      `DOCX of ${ours.extra.words} words, to the floor of unzip and SAX`,
      `${times(ours.ms / floor.ms)} (${ms(ours.ms)} / ${ms(floor.ms)})`,
      '≤ 1.5 ×',
      ours.ms / floor.ms <= 1.5,
    );
    row(
      'the same, mammoth to ours',
      `${times(mammoth.ms / ours.ms)} (${ms(mammoth.ms)})`,
      '≥ 6 ×',
      mammoth.ms / ours.ms >= 6,
    );
    row(
      'peak memory, ours to mammoth',
      `${times(ours.peakMegabytes / mammoth.peakMegabytes)} (${Math.round(ours.peakMegabytes)} / ${Math.round(mammoth.peakMegabytes)} MB)`,
      '≤ 0.25 ×',
      ours.peakMegabytes / mammoth.peakMegabytes <= 0.25,
    );
  }
  if (wanted('markdown')) {
    const [ours, parse] = inTurns('markdown', ['ours', 'markdown-it']);
    row(
      '1 MB of Markdown, to markdown-it’s own parse',
      `${times(ours.ms / parse.ms)} (${ms(ours.ms)} / ${ms(parse.ms)})`,
      '≤ 1.5 ×',
      ours.ms / parse.ms <= 1.5,
    );
  }
  if (wanted('readers'))
    for (const [format, what, floorName, most] of [
      ['html', '1 MB of HTML', 'parse5’s own parse'],
      ['odt', 'ODT of 5 MB of XML', 'unzip and SAX'],
      ['pptx', 'PPTX of 500 slides', 'unzip and SAX of its slides and notes', 1.5],
      ['rtf', '5 MB of RTF', 'its tokens'],
      ['text', '5 MB of plain text', 'its lines'],
      ['opml', '1 MB of OPML', 'SAX'],
      ['markdown', '10 MB of Markdown', 'markdown-it’s own parse'],
    ]) {
      const [ours, floor] = inTurns('readers', ['ours', 'floor'], format);
      row(
        `${what}, to ${floorName}`,
        `${times(ours.ms / floor.ms)} (${ms(ours.ms)} / ${ms(floor.ms)}), ${Math.round(ours.peakMegabytes)} MB at most`,
        most === undefined ? '' : `≤ ${most} ×`,
        most === undefined || ours.ms / floor.ms <= most,
      );
    }
  if (wanted('pdf')) {
    const [ours, pdfium, pdfjs] = inTurns('pdf', ['ours', 'pdfium', 'pdfjs']);
    row(
      'PDF of 200 pages, to PDFium’s own characters with boxes',
      `${times(ours.ms / pdfium.ms)} (${ms(ours.ms)} / ${ms(pdfium.ms)}), ${Math.round(ours.peakMegabytes)} MB at most`,
      '≤ 1.5 ×',
      ours.ms / pdfium.ms <= 1.5,
    );
    row(
      'the same, pdfjs’ own texts and operators to ours',
      `${times(pdfjs.ms / ours.ms)} (${ms(pdfjs.ms)})`,
      '≥ 4 ×',
      pdfjs.ms / ours.ms >= 4,
    );
  }
  if (wanted('deck')) {
    const scratch = run('deck', 'scratch');
    const edit = run('deck', 'edit');
    const plug = run('deck', 'plug');
    row('1,000 slides from scratch, core', ms(scratch.ms), '≤ 1500 ms', scratch.ms <= 1500);
    const first = run('deck', 'first');
    row(
      'a first deck of 1,000 slides with all that is decided for it, core',
      ms(first.ms),
      '≤ 1500 ms',
      first.ms <= 1500,
    );
    const turn = run('deck', 'turn');
    row('one edit of wording and its drawing, core', ms(edit.ms), '< 16 ms', edit.ms < 16);
    row('one mark turned and its drawing, core', ms(turn.ms), '< 16 ms', turn.ms < 16);
    const looked = run('deck', 'remarks');
    row(
      `1,000 slides looked through for what Check remarks (${looked.extra.found}), core: from scratch, after one edit`,
      `${ms(looked.ms)}, ${ms(looked.extra.again)}`,
      'after one edit < 33 ms',
      looked.extra.again < 33,
    );
    row('all of them mended that can be, core', `${ms(looked.extra.mending)} for ${looked.extra.mended}`, '', true);
    row('one plug, core: the first time, and again', `${ms(plug.ms)}, ${ms(plug.extra.again)}`, '', true);
  }
  if (wanted('presentable')) {
    const { extra } = run('presentable', 'all');
    const share = (ready, of) => `${((100 * ready) / of).toFixed(1)} of 100`;
    const themes = Object.keys(extra).flatMap((key) => /^of in (.*)$/.exec(key)?.[1] ?? []);
    const worst = themes
      .map((name) => ({ name, part: extra[`ready in ${name}`] / extra[`of in ${name}`] }))
      .reduce((least, one) => (one.part < least.part ? one : least));
    const broken = Object.entries(extra).filter(
      ([key, value]) => value > 0 && /^[a-z-]+$/.test(key) && !['documents', 'ready', 'of'].includes(key),
    );
    row(
      `slides of first decks that can be shown as they are: ${extra.documents} documents, ${extra['not English'] ?? 0} not in English, ${themes.length} themes`,
      `${share(extra.ready, extra.of)} (${extra.of} slides)`,
      '≥ 95 of 100',
      extra.ready >= extra.of * 0.95,
    );
    row(`in the theme with fewest, ${worst.name}`, share(worst.part, 1), '≥ 95 of 100', worst.part >= 0.95);
    row(
      'decks of more than ten slides with fewer than 90 of 100',
      `${extra['long documents under 90 of 100'] ?? 0}`,
      '0',
      !extra['long documents under 90 of 100'],
    );
    row('what the others lack', broken.map(([rule, count]) => `${rule} ${count}`).join(', ') || 'nothing', '', true);
  }
  if (wanted('log')) {
    const [opened, untouched] = inTurns('log', ['worked', 'untouched']);
    const { words, text, undone, megabytes } = opened.extra;
    row(
      `a log of 20,000 entries (${megabytes.toFixed(1)} MB) opened, to the same deck untouched, core`,
      `${times(opened.ms / untouched.ms)} (${ms(opened.ms)} / ${ms(untouched.ms)})`,
      '≤ 1.5 ×',
      opened.ms / untouched.ms <= 1.5,
    );
    const slowest = Math.max(words, text, undone);
    row(
      'one more entry on top of them: a title, a text, an undo, core',
      `${ms(words)}, ${ms(text)}, ${ms(undone)}`,
      '≤ 100 ms',
      slowest <= 100,
    );
  }
  if (wanted('opening')) {
    const opened = run('opening');
    const { untouched } = opened.extra;
    row(
      'the same in the page: from its address to its first slide',
      `${times(opened.ms / untouched)} (${ms(opened.ms)} / ${ms(untouched)})`,
      '≤ 1.5 ×',
      opened.ms / untouched <= 1.5,
    );
  }
  if (wanted('work')) {
    const of = (subject) => run('work', subject);
    const replay = of('replay');
    row(`1,000 slides with ${replay.extra.edits} edits, replayed and laid out, core`, ms(replay.ms), '', true);
    const more = of('one-more');
    row('one more edit on top of them, core', ms(more.ms), '< 16 ms', more.ms < 16);
    row('the newest of them undone, core', ms(more.extra.undone), '', true);
    const matching = of('matching');
    row(`a new edition of ${matching.extra.blocks} blocks matched`, ms(matching.ms), '', true);
    row('the same with its differences by word', ms(of('review').ms), '', true);
    row('50,000 words shortened, by sections', ms(of('shorten').ms), '', true);
    row('the same as one stretch without headings', ms(of('shorten-whole').ms), '', true);
  }
  if (wanted('uploads')) {
    const { ms: all, extra } = run('uploads');
    row(
      `10 DOCX of ${Math.round(extra.megabytes)} MB sent at once: memory of the server over the idle one`,
      `${Math.round(extra.over)} MB over ${Math.round(extra.idle)} MB, in ${(all / 1000).toFixed(1)} s, queue of ${extra.farthest}`,
      '≤ 500 MB',
      extra.over <= 500,
    );
    row('the longest that another request waited meanwhile', ms(extra.longest), '≤ 200 ms', extra.longest <= 200);
  }
  if (wanted('browser')) {
    const page = run('browser');
    row(
      '1,000 slides in the browser: edit to drawing',
      `${ms(page.ms)}, longest frame ${ms(page.extra.longestFrame)}`,
      'longest frame ≤ 34 ms',
      page.extra.longestFrame <= 34,
    );
    row(
      'a plug to new counts, in the browser: the first, and the median',
      `${ms(page.extra.firstPlug)}, ${ms(page.extra.plug)}`,
      '≤ 100 ms',
      page.extra.firstPlug <= 100,
    );
  }
  if (wanted('present')) {
    const talk = run('present');
    row('a talk of 1,000 slides, from the click to its first slide', ms(talk.ms), '≤ 1000 ms', talk.ms <= 1000);
    row(
      'a change of slide in the audience’s window, led by the speaker’s; frames dropped meanwhile',
      `${ms(talk.extra.median)}; ${talk.extra.dropped} of ${talk.extra.frames}, the longest ${ms(talk.extra.longest)}`,
      '',
      true,
    );
  }
  if (wanted('look')) {
    const [choose, layOut, thumbnails] = inTurns('look', ['choose', 'lay-out', 'thumbnails']);
    row(
      'layouts chosen for 500 slides, to laying them out once',
      `${times(choose.ms / layOut.ms)} (${ms(choose.ms)} / ${ms(layOut.ms)})`,
      '',
      true,
    );
    row('100 thumbnails drawn', ms(thumbnails.ms), '', true);
    const [ours, peer] = inTurns('look', ['ours', 'peer']);
    row(
      'PPTX of 500 slides with 100 pictures and 50 charts, pptxgenjs to ours',
      `${times(peer.ms / ours.ms)} (${ms(peer.ms)} / ${ms(ours.ms)})`,
      '≥ 3 ×',
      peer.ms / ours.ms >= 3,
    );
    row(
      'peak memory of it, ours to pptxgenjs',
      `${times(ours.peakMegabytes / peer.peakMegabytes)} (${Math.round(ours.peakMegabytes)} / ${Math.round(peer.peakMegabytes)} MB)`,
      '',
      true,
    );
  }
  if (wanted('template')) {
    const [floor, read, slides, write] = inTurns('template', ['floor', 'read', 'slides', 'write']);
    const to = (one, other) => `${times(one.ms / other.ms)} (${ms(one.ms)} / ${ms(other.ms)})`;
    const memory = ({ peakMegabytes }) => `, ${Math.round(peakMegabytes)} MB at most`;
    const size = `${Math.round(floor.extra.bytes / 1e6)} MB`;
    row(`a template of ${size} with 200 slides read, to unpacking it`, to(read, floor) + memory(read), '', true);
    row('the same with its slides drawn', to(slides, floor) + memory(slides), '', true);
    row('a deck of 100 slides made and written into it', to(write, floor) + memory(write), '', true);
    const [plain, fonts] = inTurns('template', ['plain', 'fonts']);
    const more = Math.round((fonts.extra.bytes - plain.extra.bytes) / 1000);
    row('a deck of 100 slides written with its fonts, to without', `${to(fonts, plain)}, ${more} kB more`, '', true);
  }
  if (wanted('pdf-out')) {
    const [ours, floor] = inTurns('pdf-out', ['ours', 'pdfkit']);
    row(
      'PDF of 500 slides, to pdfkit drawing the same words',
      `${times(ours.ms / floor.ms)} (${ms(ours.ms)} / ${ms(floor.ms)})`,
      '≤ 1.5 ×',
      ours.ms / floor.ms <= 1.5,
    );
  }

  if (wanted('png')) {
    const pdf = run('png', 'pdf');
    const png = run('png', 'png');
    row(
      '100 slides as pictures of 1920 pixels, to writing their PDF',
      `${times(png.ms / pdf.ms)} (${ms(png.ms)} / ${ms(pdf.ms)}), ${Math.round(png.extra.bytes / 1e6)} MB`,
      '',
      true,
    );
  }

  if (wanted('pptx')) {
    const [ours, peer, odp] = inTurns('pptx', ['ours', 'pptxgenjs', 'odp']);
    row('the same 500 slides as ODP, to PPTX', `${times(odp.ms / ours.ms)} (${ms(odp.ms)} / ${ms(ours.ms)})`, '', true);
    row(
      'PPTX of 500 slides, pptxgenjs to ours',
      `${times(peer.ms / ours.ms)} (${ms(peer.ms)} / ${ms(ours.ms)})`,
      '≥ 4 ×',
      peer.ms / ours.ms >= 4,
    );
    row(
      'peak memory, ours to pptxgenjs',
      `${times(ours.peakMegabytes / peer.peakMegabytes)} (${Math.round(ours.peakMegabytes)} / ${Math.round(peer.peakMegabytes)} MB)`,
      '≤ 0.67 ×',
      ours.peakMegabytes / peer.peakMegabytes <= 0.67,
    );
  }
  if (wanted('text')) {
    const [ours, peer] = ['ours', 'fontkit'].map((subject) => run('text', subject));
    row(
      '100,000 words measured and broken, fontkit’s layout to ours',
      `${times(peer.ms / ours.ms)} (${ms(peer.ms)} / ${ms(ours.ms)})`,
      '',
      true,
    );
    const japanese = ['japanese', 'japanese-fontkit'].map((subject) => run('text', subject));
    row(
      '100,000 Japanese characters measured and broken, fontkit’s layout to ours',
      `${times(japanese[1].ms / japanese[0].ms)} (${ms(japanese[1].ms)} / ${ms(japanese[0].ms)})`,
      '',
      true,
    );
    for (const [what, [one, other]] of [
      ['difference of widths', [ours, peer]],
      ['the same, Japanese', japanese],
    ]) {
      const difference = Math.abs(one.extra.width / other.extra.width - 1) * 100;
      row(what, `${difference.toFixed(4)} %`, '≤ 0.1 %', difference <= 0.1);
    }
  }
}
