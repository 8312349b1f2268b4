/**
 * Square markers in a grey picture. Roughly where they are: OpenCV's detector at reduced size; the
 * exact place is found afterwards at full size from the printed edges themselves.
 */
import type { OpenCv } from './opencv';

export interface FoundMarker {
  readonly id: number;
  /** Corners in pixels of the given picture, clockwise from the marker's own top-left. */
  readonly corners: readonly { readonly x: number; readonly y: number }[];
}

/** Number of the predefined 4 x 4 dictionary with 50 markers; the package does not export its name. */
const DICT_4X4_50 = 0;
const SUBPIXEL = 1;

/** Outlines shorter than this, as a share of the longer side, are no markers: smaller ones are looked for where larger were missed. */
const LEAST_OUTLINE = 0.02;

/** Finds markers in an 8-bit grey picture, row-major, `width * height` long. */
export function findMarkers(
  cv: OpenCv,
  grey: Uint8Array,
  width: number,
  height: number,
  leastOutline = LEAST_OUTLINE,
): FoundMarker[] {
  const image = new cv.Mat(height, width, cv.CV_8UC1);
  image.data.set(grey);
  const dictionary = cv.getPredefinedDictionary(DICT_4X4_50);
  const parameters = new cv.aruco_DetectorParameters();
  const refine = new cv.aruco_RefineParameters(10, 3, true);
  const corners = new cv.MatVector();
  const rejected = new cv.MatVector();
  const ids = new cv.Mat();
  parameters.cornerRefinementMethod = SUBPIXEL;
  parameters.adaptiveThreshWinSizeMin = 5;
  parameters.adaptiveThreshWinSizeMax = 45;
  parameters.adaptiveThreshWinSizeStep = 40;
  parameters.minMarkerPerimeterRate = leastOutline;
  const detector = new cv.aruco_ArucoDetector(dictionary, parameters, refine);
  try {
    detector.detectMarkers(image, corners, ids, rejected);
    const found: FoundMarker[] = [];
    const idData = ids.data32S;
    for (let i = 0; i < corners.size(); i++) {
      const quad = corners.get(i);
      const xy = quad.data32F;
      found.push({
        id: idData[i] ?? -1,
        corners: [0, 1, 2, 3].map((k) => ({ x: (xy[2 * k] ?? 0) + 0.5, y: (xy[2 * k + 1] ?? 0) + 0.5 })),
      });
      quad.delete();
    }
    return found;
  } finally {
    for (const thing of [image, ids, corners, rejected, detector, parameters, refine, dictionary]) thing.delete();
  }
}
