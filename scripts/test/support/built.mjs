import { buildServer } from '../../prepare.mjs';

/** Tests that start the server start it as it stands, however they are run. */
export default async function built() {
  await buildServer();
}
