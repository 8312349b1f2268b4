import { saidOfError } from './said-of-error';

const withFields = (message: string, fields: object) => Object.assign(new Error(message), fields);

test('what a database was asked about is never repeated', () => {
  const cause = withFields('duplicate key: Key (name)=(Bea Lindqvarn)', { code: '23505' });
  const error = withFields('Failed query: insert into students … params: Bea Lindqvarn', {
    query: 'insert',
    params: ['Bea Lindqvarn'],
    cause,
  });
  const said = saidOfError(error);
  expect(JSON.stringify(said)).not.toContain('Bea');
  expect(said).toMatchObject({ type: 'Error', cause: { type: 'Error', code: '23505' } });
  expect(said.stack).toContain('said-of-error.test');
});

test('of others the message is kept, and what is no error is only named', () => {
  expect(saidOfError(withFields('no such file', { code: 'ENOENT' }))).toMatchObject({
    message: 'no such file',
    code: 'ENOENT',
  });
  expect(saidOfError('FRESHPAN')).toEqual({ type: 'string' });
});

test('a circle of causes ends', () => {
  const error = new Error('round');
  error.cause = error;
  expect(JSON.stringify(saidOfError(error)).match(/round/g)).toHaveLength(5);
});
