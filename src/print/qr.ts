/** The dark modules of a QR code as boxes, joined along rows so that no hairline shows between them. */
import { type BoxMm, boxMm } from '@/core/geometry/box';
import QRCode from 'qrcode';

const QUIET_MODULES = 4;

export function qrBoxes(text: string, box: BoxMm): BoxMm[] {
  const { modules } = QRCode.create(text, { errorCorrectionLevel: 'M' });
  const module = box.widthMm / (modules.size + 2 * QUIET_MODULES);
  const boxes: BoxMm[] = [];
  for (let row = 0; row < modules.size; row++) {
    let start = -1;
    for (let column = 0; column <= modules.size; column++) {
      const dark = column < modules.size && modules.get(row, column) === 1;
      if (dark && start < 0) start = column;
      if (!dark && start >= 0) {
        boxes.push(
          boxMm(
            box.xMm + (QUIET_MODULES + start) * module,
            box.yMm + (QUIET_MODULES + row) * module,
            (column - start) * module,
            module,
          ),
        );
        start = -1;
      }
    }
  }
  return boxes;
}
