import { sayFilm, sayLighter, sayShift, saySize, saySoft, sayTurn } from './slide-words';

test.each([
  [sayLighter(-4.5, 9), 'half a step darker'],
  [sayLighter(0, 9), 'as it is'],
  [sayShift(0.01, 'to the right', 'to the left'), 'a little to the right'],
  [sayShift(-0.2, 'lower', 'higher'), 'far higher'],
  [sayShift(0.001, 'lower', 'higher'), 'as it is'],
  [saySize(1.04, 'wider', 'narrower'), 'a little wider'],
  [saySize(0.5, 'wider', 'narrower'), 'much narrower'],
  [saySize(1, 'wider', 'narrower'), 'as it is'],
  [sayTurn(-3), 'a little to the left'],
  [sayTurn(60), 'far to the right'],
  [saySoft(0), 'not at all'],
  [saySoft(0.06), 'very softly'],
  [sayFilm(0.008), 'very thin'],
])('“%s” is how it is said', (said, wanted) => {
  expect(said).toBe(wanted);
});
