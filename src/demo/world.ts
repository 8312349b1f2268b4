/** The sample world: the Tidewell Evening Studio, its people and what they handed in. All of it invented. */
import type { CameraCondition } from '@/devices/condition-names';
import type { PaintCondition } from '@/devices/paint-conditions';

export const TEACHER = { name: 'Hesper Dunnock', email: 'hesper@tidewell.example', password: 'saltpans-and-hills' };
export const COLLEAGUE = { name: 'Corin Maddery', email: 'corin@tidewell.example', password: 'mortar-and-madder' };
export const ASSISTANT = { name: 'Odile Marrow', email: 'odile@tidewell.example', password: 'chalk-and-charcoal' };
export const CLASS = { name: 'Tidewell Evening Studio', code: 'TDWELL' };

export interface DemoShot {
  readonly paint: PaintCondition;
  readonly camera: CameraCondition;
}

export interface DemoStudent {
  readonly name: string;
  readonly code: string;
  /** Photographs in the order they were handed in; between two the teacher said "once more". */
  readonly shots: readonly DemoShot[];
  readonly end: 'waiting' | 'passed' | 'again';
}

export const STUDENTS: readonly DemoStudent[] = [
  { name: 'Maren Oskol', code: 'GREYHULL', shots: [{ paint: 'too-close', camera: 'window' }], end: 'waiting' },
  { name: 'Ivo Tarrant', code: 'PALEKELP', shots: [{ paint: 'reversed', camera: 'lamp' }], end: 'waiting' },
  { name: 'Suli Brandreth', code: 'DARKSLUP', shots: [{ paint: 'weak-black', camera: 'studio' }], end: 'waiting' },
  { name: 'Pell Ockham', code: 'TARBARGE', shots: [{ paint: 'streaks', camera: 'tilted' }], end: 'waiting' },
  { name: 'Adaeze Wynne', code: 'CALMTHUJ', shots: [{ paint: 'dark-middle', camera: 'phone' }], end: 'waiting' },
  { name: 'Joss Kettleby', code: 'FARBEACN', shots: [{ paint: 'fine', camera: 'studio' }], end: 'passed' },
  {
    name: 'Ruta Vane',
    code: 'SLATEBAY',
    shots: [
      { paint: 'too-close', camera: 'haze' },
      { paint: 'fine', camera: 'window' },
    ],
    end: 'waiting',
  },
  { name: 'Ørla Finnick', code: 'GLARERCK', shots: [{ paint: 'fine', camera: 'glare' }], end: 'waiting' },
  { name: 'Tam Quillan', code: 'CHALKHEM', shots: [{ paint: 'overflow', camera: 'lamp' }], end: 'again' },
  { name: 'Bea Lindqvarn', code: 'FRESHPAN', shots: [], end: 'waiting' },
];
