import { buildServer } from '../../prepare.mjs';

/** Tests that start the server start it as it stands, however they are run; others need none (`LATTICE_UNBUILT`). */
export default async function built() {
  if (!process.env.LATTICE_UNBUILT) await buildServer();
}
