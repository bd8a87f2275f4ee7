/** Says one clear line and stops. */
export function stop(line: string): never {
  console.error(line);
  process.exit(1);
}
