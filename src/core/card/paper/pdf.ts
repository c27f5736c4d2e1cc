/** Paper as a PDF file: text as text, fonts embedded as far as they are used. */
import {
  clip,
  endPath,
  PDFDocument,
  popGraphicsState,
  pushGraphicsState,
  rectangle,
  rgb,
  type Color,
  type PDFFont,
  type PDFPage,
} from '@cantoo/pdf-lib';
import * as fontkit from 'fontkit';
import type { Item, Paper, PathItem, TextItem, Weight } from './paper';
import type { FontFiles, Typesetter } from './typeset';

/** Points of a millimetre. */
const PT = 72 / 25.4;

function colourOf(ink: string): Color {
  const part = (i: number) => parseInt(ink.slice(i, i + 2), 16) / 255;
  return rgb(part(1), part(3), part(5));
}

type Fonts = Record<Weight, readonly (PDFFont | null)[]>;

function drawText(
  page: PDFPage,
  item: TextItem,
  type: Typesetter,
  fonts: Fonts,
  high: number,
): void {
  let x = item.x;
  for (const run of type.runs(item.text, item.weight)) {
    const font = fonts[item.weight][run.font];
    if (font)
      page.drawText(run.text, {
        x: x * PT,
        y: (high - item.y) * PT,
        size: item.sizeMm * PT,
        font,
        color: colourOf(item.ink),
      });
    x += type.width(run.text, item.weight) * item.sizeMm;
  }
}

function drawPath(page: PDFPage, item: PathItem, high: number): void {
  page.drawSvgPath(item.d, {
    x: 0,
    y: high * PT,
    scale: PT,
    ...(item.fill && { color: colourOf(item.fill) }),
    ...(item.stroke && { borderColor: colourOf(item.stroke), borderWidth: item.widthMm ?? 0.2 }),
    ...(item.dashMm && { borderDashArray: [...item.dashMm] }),
  });
}

/** Writes a PDF. `typed` is what laid the paper; `written` an ISO date. */
export async function paperPdf(
  paper: Paper,
  files: FontFiles,
  typed: Typesetter,
  written: string,
): Promise<Uint8Array<ArrayBuffer>> {
  const document = await PDFDocument.create();
  document.registerFontkit(fontkit);
  document.setTitle(paper.title);
  document.setProducer('Wandering Halo');
  document.setCreator('Wandering Halo');
  document.setLanguage('en');
  const time = new Date(`${written}T00:00:00Z`);
  document.setCreationDate(time);
  document.setModificationDate(time);
  const used = usedFonts(paper, typed);
  /** Fonts that are not used are not written. */
  const embed = async (weight: Weight): Promise<(PDFFont | null)[]> => {
    const fonts: (PDFFont | null)[] = [];
    for (const [i, bytes] of files[weight].entries())
      fonts.push(
        used.has(`${weight}/${i}`) ? await document.embedFont(bytes, { subset: true }) : null,
      );
    return fonts;
  };
  const fonts: Fonts = { regular: await embed('regular'), bold: await embed('bold') };
  for (const { widthMm, heightMm, items } of paper.pages) {
    const page = document.addPage([widthMm * PT, heightMm * PT]);
    const draw = (item: Item): void => {
      if (item.kind === 'text') drawText(page, item, typed, fonts, heightMm);
      else if (item.kind === 'path') drawPath(page, item, heightMm);
      else {
        page.pushOperators(
          pushGraphicsState(),
          rectangle(
            item.x * PT,
            (heightMm - item.y - item.height) * PT,
            item.width * PT,
            item.height * PT,
          ),
          clip(),
          endPath(),
        );
        item.items.forEach(draw);
        page.pushOperators(popGraphicsState());
      }
    };
    items.forEach(draw);
  }
  return await document.save();
}

/** Fonts a paper's text needs, by weight and place. */
function usedFonts({ pages }: Paper, typed: Typesetter): Set<string> {
  const used = new Set<string>();
  for (const item of pages.flatMap((p) => p.items))
    if (item.kind === 'text')
      for (const { font } of typed.runs(item.text, item.weight)) used.add(`${item.weight}/${font}`);
  return used;
}
