import type { Link, Permission } from '@lattice/contract';
import type { Knex } from 'knex';
import { Refusal } from '../errors.ts';
import type { Surroundings } from '../surroundings.ts';
import { hashOfSecret, isSecret, newSecret } from './secrets.ts';

interface LinkRow {
  readonly id: string;
  readonly name: string;
  readonly may: Permission;
  readonly secret_hash: string;
  readonly made_at: string;
  readonly taken_back_at: string | null;
}

/** Links that let people in, each for somebody; one that is taken back lets nobody in any more, at once. */
export class Links {
  constructor(
    private readonly knex: Knex,
    private readonly outside: Pick<Surroundings, 'now' | 'newId'>,
  ) {}

  async list(): Promise<Link[]> {
    const rows = await this.knex<LinkRow>('links').whereNull('taken_back_at').orderBy('made_at', 'desc');
    return rows.map(({ id, name, may, made_at }) => ({ id, name, may, madeAt: made_at }));
  }

  /** Makes one; its secret is told this once. */
  async make(name: string, may: Permission): Promise<Link & { readonly secret: string }> {
    const secret = newSecret();
    const id = this.outside.newId();
    const madeAt = this.outside.now().toISOString();
    await this.knex<LinkRow>('links').insert({
      ...{ id, name, may, made_at: madeAt },
      secret_hash: hashOfSecret(secret),
      taken_back_at: null,
    });
    return { id, name, may, madeAt, secret: `${id}.${secret}` };
  }

  async takeBack(id: string): Promise<void> {
    const taken_back_at = this.outside.now().toISOString();
    const changed = await this.knex<LinkRow>('links')
      .where({ id })
      .whereNull('taken_back_at')
      .update({ taken_back_at });
    if (changed !== 1)
      throw new Refusal('no-such-link', 'There is no such link, or it was taken back already.');
  }

  /** Which link this is the secret of; null for none that stands. */
  async openedBy(secret: string): Promise<Link | null> {
    const [id = '', own = ''] = secret.split('.');
    const row = await this.standing(id);
    return row && isSecret(own, row.secret_hash) ? linkFrom(row) : null;
  }

  /** What a link lets its holder do now; null once it was taken back. */
  async mayNow(id: string): Promise<Permission | null> {
    return (await this.standing(id))?.may ?? null;
  }

  private standing(id: string): Promise<LinkRow | undefined> {
    return this.knex<LinkRow>('links').where({ id }).whereNull('taken_back_at').first();
  }
}

const linkFrom = ({ id, name, may, made_at }: LinkRow): Link => ({ id, name, may, madeAt: made_at });
