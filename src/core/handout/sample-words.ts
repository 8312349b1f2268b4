/** Words of a sheet as tests and simulated sheets need them: no name, no date, no cautions. */
import type { ExerciseWords } from './exercise-sheet';

/** Words of a sheet of which nothing special is to be read; `more` says what is. */
export const sampleWords = (more: Partial<ExerciseWords> = {}): ExerciseWords => ({
  title: 'Sample',
  className: 'Tidewell',
  name: '',
  labels: [],
  due: '',
  care: '',
  careInShort: '',
  exercise: null,
  student: null,
  figures: {},
  ...more,
});
