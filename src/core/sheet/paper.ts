/** Papers a sheet is printed on, always portrait, in millimetres. */
export const PAPERS = {
  a4: { name: 'A4', widthMm: 210, heightMm: 297, markerIds: [0, 1, 2, 3] },
  letter: { name: 'Letter', widthMm: 215.9, heightMm: 279.4, markerIds: [4, 5, 6, 7] },
} as const;

export type PaperId = keyof typeof PAPERS;
export const PAPER_IDS = Object.keys(PAPERS) as [PaperId, ...PaperId[]];
