/** Sheets as vector PDF, one page each. Greys are written as RGB, which keeps every code exact. */
import type { Mark, SheetDrawing } from '@/core/sheet/drawing';
import PDFDocument from 'pdfkit';
import { breakLines, LEADING, textRuns, textWidth } from './fonts';
import { qrBoxes } from './qr';

const POINTS_PER_MM = 72 / 25.4;

function grey(code: number): [number, number, number] {
  return [code, code, code];
}

function drawText(doc: PDFKit.PDFDocument, mark: Extract<Mark, { kind: 'text' }>): void {
  breakLines(mark.text, mark.weight, mark.sizeMm, mark.wrapMm).forEach((line, i) => {
    const width = textWidth(line, mark.weight, mark.sizeMm);
    const shift = mark.align === 'left' ? 0 : mark.align === 'centre' ? width / 2 : width;
    let x = mark.xMm - shift;
    const y = mark.yMm + i * mark.sizeMm * LEADING;
    for (const run of textRuns(line, mark.weight)) {
      doc.registerFont(run.font.key, run.font.bytes);
      doc
        .font(run.font.key)
        .fontSize(mark.sizeMm * POINTS_PER_MM)
        .fillColor(grey(mark.code))
        .text(run.text, x * POINTS_PER_MM, y * POINTS_PER_MM, { lineBreak: false, baseline: 'alphabetic' });
      x += run.advance * mark.sizeMm;
    }
  });
}

function drawMark(doc: PDFKit.PDFDocument, mark: Mark): void {
  const p = POINTS_PER_MM;
  switch (mark.kind) {
    case 'fill': {
      const { xMm, yMm, widthMm, heightMm } = mark.box;
      doc
        .rect(xMm * p, yMm * p, widthMm * p, heightMm * p)
        .fill(typeof mark.code === 'number' ? grey(mark.code) : [...mark.code]);
      return;
    }
    case 'outline': {
      const { xMm, yMm, widthMm, heightMm } = mark.box;
      doc
        .lineWidth(mark.lineMm * p)
        .rect(xMm * p, yMm * p, widthMm * p, heightMm * p)
        .stroke(grey(mark.code));
      return;
    }
    case 'path': {
      for (const ring of mark.rings)
        ring.forEach(([x, y], i) => (i === 0 ? doc.moveTo(x * p, y * p) : doc.lineTo(x * p, y * p)));
      if (mark.lineMm === 'fill') doc.fill(grey(mark.code), 'even-odd');
      else doc.lineWidth(mark.lineMm * p).stroke(grey(mark.code));
      return;
    }
    case 'stroke':
      mark.points.forEach(([x, y], i) => (i === 0 ? doc.moveTo(x * p, y * p) : doc.lineTo(x * p, y * p)));
      doc
        .lineWidth(mark.lineMm * p)
        .lineCap('round')
        .lineJoin('round')
        .stroke(grey(mark.code));
      return;
    case 'picture': {
      const { xMm, yMm, widthMm, heightMm } = mark.box;
      doc.image(Buffer.from(mark.image), xMm * p, yMm * p, { width: widthMm * p, height: heightMm * p });
      return;
    }
    case 'qr':
      for (const b of qrBoxes(mark.text, mark.box)) doc.rect(b.xMm * p, b.yMm * p, b.widthMm * p, b.heightMm * p);
      doc.fill(grey(0));
      return;
    case 'text':
      drawText(doc, mark);
  }
}

const newDocument = (title: string): PDFKit.PDFDocument =>
  new PDFDocument({ autoFirstPage: false, margin: 0, info: { Title: title } });

/** Writes a PDF of one or more sheets piece by piece, each sheet when it is drawn. Throws RangeError when there is none. */
export async function writeSheets(
  sheets: Iterable<SheetDrawing> | AsyncIterable<SheetDrawing>,
  write: (piece: Buffer) => void,
): Promise<void> {
  let doc: PDFKit.PDFDocument | null = null;
  let done: Promise<void> = Promise.resolve();
  for await (const sheet of sheets) {
    if (!doc) {
      const own = newDocument(sheet.title);
      doc = own;
      done = new Promise((resolve, reject) => {
        own.on('data', write);
        own.on('end', resolve);
        own.on('error', reject);
      });
    }
    doc.addPage({ size: [sheet.widthMm * POINTS_PER_MM, sheet.heightMm * POINTS_PER_MM], margin: 0 });
    for (const mark of sheet.marks) drawMark(doc, mark);
    // What is finished goes out before the next one is drawn.
    await new Promise<void>((resolve) => setImmediate(resolve));
  }
  if (!doc) throw new RangeError('A PDF needs at least one sheet, got none.');
  doc.end();
  await done;
}

/** PDF bytes of one or more sheets. Throws RangeError when there is none. */
export async function sheetsToPdf(sheets: Iterable<SheetDrawing>): Promise<Buffer> {
  const pieces: Buffer[] = [];
  await writeSheets(sheets, (piece) => pieces.push(piece));
  return Buffer.concat(pieces);
}
