/** Gathers what pdfkit writes line by line, so that it becomes bytes a page at a time: a tagged deck has tens of thousands of lines. */
interface Page {
  write(content: Uint8Array): void;
}
interface Inner {
  page: Page | null;
  _offset: number;
  _write(data: string | Uint8Array): void;
  addContent(content: string): Inner;
  flushPages(): void;
}

/** To be called before anything is drawn. @returns The whole file, once the document has ended. */
export function gathered(doc: PDFKit.PDFDocument): Promise<Uint8Array> {
  const inner = doc as unknown as Inner;
  gatherContent(inner);
  const chunks: Uint8Array[] = [];
  let lines = '';
  const flush = (): void => {
    if (lines !== '') chunks.push(Buffer.from(lines, 'latin1'));
    lines = '';
  };
  inner._write = (data) => {
    if (typeof data === 'string') {
      lines += `${data}\n`;
      inner._offset += data.length + 1;
      if (lines.length > LONG) flush();
      return;
    }
    flush();
    chunks.push(data);
    inner._offset += data.length;
  };
  // Its head was written when it was made.
  const head: Uint8Array[] = [];
  return new Promise((done, fail) => {
    doc.on('data', (chunk: Uint8Array) => head.push(chunk));
    doc.on('end', () => {
      flush();
      done(new Uint8Array(Buffer.concat([...head, ...chunks])));
    });
    doc.on('error', fail);
  });
}

const LONG = 1 << 16;

/** What is drawn on a page is handed to it when it ends. */
function gatherContent(inner: Inner): void {
  const endPages = inner.flushPages.bind(inner);
  let lines: string[] = [];
  inner.addContent = (content) => {
    lines.push(content);
    return inner;
  };
  inner.flushPages = () => {
    if (lines.length > 0) inner.page!.write(Buffer.from(`${lines.join('\n')}\n`, 'latin1'));
    lines = [];
    endPages();
  };
}
