/** Opens the house and its jobs when the server starts, and closes them when it is told to stop. */
export async function register(): Promise<void> {
  if (process.env['NEXT_RUNTIME'] !== 'nodejs') return;
  const { startHouse } = await import('./app/start-house');
  await startHouse();
}
