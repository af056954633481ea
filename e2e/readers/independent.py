"""Reads and makes documents by libraries that are not ours: python3-markdown, python3-docx, python3-odf, and Python's own HTML parser.

independent.py read FILE...     a JSON list: of each file its words as text, and its headings
independent.py slides FILE...   a JSON list: of each ODP the words of each slide and its notes
independent.py make FOLDER      from a JSON list of {name, html} on standard input a DOCX and an ODT of each, in the folder
"""
import html.parser
import json
import sys

HEADINGS = {f"h{level}": level for level in range(1, 7)}
BLOCKS = set("p div h1 h2 h3 h4 h5 h6 li ul ol pre table tr td th blockquote br hr dt dd dl section article".split())
SILENT = {"script", "style", "head", "template"}


class Page(html.parser.HTMLParser):
    """Text of a page, and its parts in their order: headings, paragraphs, items, tables."""

    def __init__(self):
        super().__init__(convert_charrefs=True)
        self.text, self.headings, self.parts = [], [], []
        self.silent, self.open, self.rows, self.lists = 0, None, None, 0

    def handle_starttag(self, tag, attributes):
        if tag in SILENT:
            self.silent += 1
        if tag in BLOCKS:
            self.text.append("\n")
        if tag == "img":
            # A picture's description is no part of the heading or the paragraph that it stands in.
            self.text.append(f" {dict(attributes).get('alt') or ''} ")
        if tag in ("ul", "ol"):
            self.lists += 1
        if tag == "table":
            self.rows = []
        elif self.rows is not None and tag == "tr":
            self.rows.append([])
        elif self.rows is not None and tag in ("td", "th"):
            if not self.rows:
                self.rows.append([])
            self.rows[-1].append("")
        elif tag in HEADINGS or tag in ("p", "li", "pre", "dt", "dd"):
            self.begin("item" if tag == "li" else tag)

    def begin(self, kind):
        self.open = {"kind": kind, "text": "", "depth": max(1, self.lists)}
        self.parts.append(self.open)

    def handle_endtag(self, tag):
        if tag in SILENT:
            self.silent = max(0, self.silent - 1)
        if tag in BLOCKS:
            self.text.append("\n")
        if tag in ("ul", "ol"):
            self.lists -= 1
        if tag in HEADINGS and self.open:
            self.headings.append({"level": HEADINGS[tag], "text": self.open["text"].strip()})
        if tag == "table" and self.rows is not None:
            self.parts.append({"kind": "table", "rows": [row for row in self.rows if row]})
            self.rows = None
        if tag in HEADINGS or tag in ("p", "li", "pre", "dt", "dd"):
            self.open = None

    def handle_data(self, data):
        self.add(data)

    def add(self, data):
        if self.silent:
            return
        self.text.append(data)
        if self.rows is not None:
            if self.rows and self.rows[-1]:
                self.rows[-1][-1] += data
        elif self.open is not None:
            self.open["text"] += data
        elif data.strip():
            self.begin("p")
            self.open["text"] += data
            self.open = None


def page_of(source):
    page = Page()
    page.feed(source)
    page.close()
    return page


def read_markdown(path):
    import markdown

    return page_of(markdown.markdown(open(path, encoding="utf-8").read(), extensions=["fenced_code"]))


def read_docx(path):
    import docx

    document = docx.Document(path)
    text, headings = [], []
    for element in document.element.body.iter():
        if element.tag.endswith("}p"):
            words = "".join(
                (t.text or "") if t.tag.endswith("}t") else " "
                for t in element.iter()
                if t.tag.endswith(("}t", "}br", "}tab"))
            )
            text.append(words)
            style = docx.text.paragraph.Paragraph(element, document).style.name
            if style.startswith("Heading ") and words.strip():
                headings.append({"level": int(style[8:]), "text": words.strip()})
    return "\n".join(text), headings


def read_odt(path):
    from odf import opendocument, teletype, text

    document = opendocument.load(path)
    words, headings = [], []

    def walk(node):
        if getattr(node, "qname", None) in ((text.P(text="").qname), (text.H(outlinelevel=1, text="").qname)):
            said = teletype.extractText(node)
            words.append(said)
            if node.qname[1] == "h" and said.strip():
                headings.append({"level": int(node.getAttribute("outlinelevel")), "text": said.strip()})
            # What stands within it, as a note does, has been said.
            return
        for child in node.childNodes:
            walk(child)

    walk(document.text)
    return "\n".join(words), headings


def read(path):
    if path.endswith(".docx"):
        words, headings = read_docx(path)
    elif path.endswith(".odt"):
        words, headings = read_odt(path)
    else:
        page = read_markdown(path) if path.endswith(".md") else page_of(open(path, encoding="utf-8").read())
        words, headings = "".join(page.text), page.headings
    return {"words": words, "headings": headings}


def clean(text):
    """XML has no control characters."""
    return "".join(c for c in text if c in "\t\n" or ord(c) >= 32)


def make_docx(parts, path):
    import docx

    document = docx.Document()
    for part in parts:
        kind = part["kind"]
        if kind == "table":
            columns = max((len(row) for row in part["rows"]), default=0)
            if columns == 0:
                continue
            table = document.add_table(rows=len(part["rows"]), cols=columns)
            for r, row in enumerate(part["rows"]):
                for c, cell in enumerate(row):
                    table.cell(r, c).text = clean(cell.strip())
            continue
        text = clean(part["text"].strip("\n"))
        if not text.strip():
            continue
        if kind in HEADINGS:
            document.add_heading(text, HEADINGS[kind])
        elif kind == "item":
            level = min(part["depth"], 3)
            document.add_paragraph(text, style="List Bullet" if level == 1 else f"List Bullet {level}")
        else:
            document.add_paragraph(text)
    document.save(path)


def make_odt(parts, path):
    from odf import opendocument, table as tables, text

    document = opendocument.OpenDocumentText()
    for part in parts:
        kind = part["kind"]
        if kind == "table":
            columns = max((len(row) for row in part["rows"]), default=0)
            if columns == 0:
                continue
            grid = tables.Table()
            grid.addElement(tables.TableColumn(numbercolumnsrepeated=columns))
            for row in part["rows"]:
                line = tables.TableRow()
                for cell in row + [""] * (columns - len(row)):
                    place = tables.TableCell()
                    place.addElement(text.P(text=clean(cell.strip())))
                    line.addElement(place)
                grid.addElement(line)
            document.text.addElement(grid)
            continue
        words = clean(part["text"].strip("\n"))
        if not words.strip():
            continue
        if kind in HEADINGS:
            document.text.addElement(text.H(outlinelevel=HEADINGS[kind], text=words))
        elif kind == "item":
            outer = inner = text.List()
            for _ in range(part["depth"] - 1):
                item, deeper = text.ListItem(), text.List()
                item.addElement(deeper)
                inner.addElement(item)
                inner = deeper
            item = text.ListItem()
            item.addElement(text.P(text=words))
            inner.addElement(item)
            document.text.addElement(outer)
        else:
            document.text.addElement(text.P(text=words))
    document.save(path)


def read_slides(path):
    from odf.draw import Page
    from odf.element import Text
    from odf.opendocument import load
    from odf.text import P

    def said(node):
        return node.data if isinstance(node, Text) else "".join(said(child) for child in node.childNodes)

    pages = load(path).presentation.getElementsByType(Page)
    return ["\n".join(said(paragraph) for paragraph in page.getElementsByType(P)) for page in pages]


if sys.argv[1] == "slides":
    json.dump([read_slides(path) for path in sys.argv[2:]], sys.stdout)
elif sys.argv[1] == "read":
    json.dump([read(path) for path in sys.argv[2:]], sys.stdout)
else:
    made = []
    for one in json.load(sys.stdin):
        page = read_markdown(one["path"])
        for ending, make in (("docx", make_docx), ("odt", make_odt)):
            path = f"{sys.argv[2]}/{one['name']}.{ending}"
            make(page.parts, path)
            made.append(path)
    json.dump(made, sys.stdout)
