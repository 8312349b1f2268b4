/** A sheet as SVG with all text as glyph outlines: the live picture in Plan and the source of the PNG. */
import type { BoxMm } from '@/core/geometry/box';
import type { Mark, SheetDrawing } from '@/core/sheet/drawing';
import { breakLines, LEADING, textRuns, textWidth } from './fonts';
import { qrBoxes } from './qr';

function n(v: number): string {
  return String(Math.round(v * 1e4) / 1e4);
}

function rectPath(b: BoxMm): string {
  return `M${n(b.xMm)} ${n(b.yMm)}h${n(b.widthMm)}v${n(b.heightMm)}h${n(-b.widthMm)}z`;
}

function textPaths(mark: Extract<Mark, { kind: 'text' }>): string {
  const parts: string[] = [];
  breakLines(mark.text, mark.weight, mark.sizeMm, mark.wrapMm).forEach((line, i) => {
    const width = textWidth(line, mark.weight, mark.sizeMm);
    let x = mark.xMm - (mark.align === 'left' ? 0 : mark.align === 'centre' ? width / 2 : width);
    const y = mark.yMm + i * mark.sizeMm * LEADING;
    for (const run of textRuns(line, mark.weight)) {
      const scale = mark.sizeMm / run.font.font.unitsPerEm;
      const { glyphs, positions } = run.font.font.layout(run.text);
      glyphs.forEach((glyph, g) => {
        const d = glyph.path.toSVG();
        if (d) parts.push(`<path transform="translate(${n(x)} ${n(y)}) scale(${scale} ${-scale})" d="${d}"/>`);
        x += (positions[g]?.xAdvance ?? 0) * scale;
      });
    }
  });
  return parts.join('');
}

function markSvg(mark: Mark): string {
  switch (mark.kind) {
    case 'fill':
      return `<path fill="rgb(${(typeof mark.code === 'number' ? [mark.code, mark.code, mark.code] : mark.code).join(',')})" d="${rectPath(mark.box)}"/>`;
    case 'outline':
      return `<path fill="none" stroke="rgb(${mark.code},${mark.code},${mark.code})" stroke-width="${mark.lineMm}" d="${rectPath(mark.box)}"/>`;
    case 'path': {
      const d = mark.rings.map((ring) => `M${ring.map(([x, y]) => `${n(x)} ${n(y)}`).join('L')}z`).join('');
      const grey = `rgb(${mark.code},${mark.code},${mark.code})`;
      return mark.lineMm === 'fill'
        ? `<path fill="${grey}" fill-rule="evenodd" d="${d}"/>`
        : `<path fill="none" stroke="${grey}" stroke-width="${mark.lineMm}" d="${d}"/>`;
    }
    case 'stroke':
      return (
        `<path fill="none" stroke="rgb(${mark.code},${mark.code},${mark.code})" stroke-width="${mark.lineMm}" ` +
        `stroke-linecap="round" stroke-linejoin="round" d="M${mark.points.map(([x, y]) => `${n(x)} ${n(y)}`).join('L')}"/>`
      );
    case 'picture': {
      const { xMm, yMm, widthMm, heightMm } = mark.box;
      const data = Buffer.from(mark.image).toString('base64');
      // JPEG begins with FF D8.
      const type = mark.image[0] === 0xff ? 'jpeg' : 'png';
      return (
        `<image x="${n(xMm)}" y="${n(yMm)}" width="${n(widthMm)}" height="${n(heightMm)}" ` +
        `preserveAspectRatio="none" href="data:image/${type};base64,${data}"/>`
      );
    }
    case 'qr':
      return `<path d="${qrBoxes(mark.text, mark.box).map(rectPath).join('')}"/>`;
    case 'text':
      return mark.code === 0
        ? textPaths(mark)
        : `<g fill="rgb(${mark.code},${mark.code},${mark.code})">${textPaths(mark)}</g>`;
  }
}

/** SVG of a sheet, one user unit a millimetre, on white. */
export function sheetToSvg(sheet: SheetDrawing): string {
  const { widthMm, heightMm } = sheet;
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" width="${widthMm}mm" height="${heightMm}mm" viewBox="0 0 ${widthMm} ${heightMm}">` +
    `<rect width="${widthMm}" height="${heightMm}" fill="#fff"/>${sheet.marks.map(markSvg).join('')}</svg>`
  );
}
