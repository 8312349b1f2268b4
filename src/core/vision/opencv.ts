/**
 * The part of the OpenCV module that the vision functions use. Loading it is the worker's business.
 * Spelled out here because the package's own types leave the marker classes out.
 */
export interface CvHandle {
  delete(): void;
}
export interface CvMat extends CvHandle {
  readonly data: Uint8Array;
  readonly data32S: Int32Array;
  readonly data16S: Int16Array;
  readonly data32F: Float32Array;
}
export interface CvMatVector extends CvHandle {
  size(): number;
  get(index: number): CvMat;
}
export interface CvDetectorParameters extends CvHandle {
  cornerRefinementMethod: number;
  adaptiveThreshWinSizeMin: number;
  adaptiveThreshWinSizeMax: number;
  adaptiveThreshWinSizeStep: number;
  minMarkerPerimeterRate: number;
}
export interface CvMarkerDetector extends CvHandle {
  detectMarkers(image: CvMat, corners: CvMatVector, ids: CvMat, rejected: CvMatVector): void;
}

export interface OpenCv {
  readonly CV_8UC1: number;
  readonly CV_16SC1: number;
  readonly MORPH_RECT: number;
  readonly MORPH_CLOSE: number;
  readonly MORPH_OPEN: number;
  Size: new (width: number, height: number) => object;
  getStructuringElement(shape: number, size: object): CvMat;
  morphologyEx(from: CvMat, to: CvMat, how: number, element: CvMat): void;
  Mat: { new (): CvMat; new (rows: number, columns: number, type: number): CvMat };
  MatVector: new () => CvMatVector;
  getPredefinedDictionary(id: number): CvHandle;
  aruco_DetectorParameters: new () => CvDetectorParameters;
  aruco_RefineParameters: new (
    minRepDistance: number,
    errorCorrectionRate: number,
    checkAllOrders: boolean,
  ) => CvHandle;
  aruco_ArucoDetector: new (
    dictionary: CvHandle,
    parameters: CvDetectorParameters,
    refine: CvHandle,
  ) => CvMarkerDetector;
}
