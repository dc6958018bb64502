import { randomUUID } from 'node:crypto';
import { decodeComparison, registry, type ComparisonDocument } from '@levee/core';
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { IsNull, Not, Repository } from 'typeorm';
import { Failure } from '../common/failure.ts';
import { patiently } from '../database/patience.ts';
import type { ListComparisonsDto } from './comparison.dto.ts';
import { ComparisonEntity } from './comparison.entity.ts';
import { mark, searchable, searchTextOf } from './search-text.ts';

interface Row {
  readonly id: string;
  readonly version: number;
  readonly createdAt: string;
  readonly updatedAt: string;
  readonly title: string;
  readonly problem: string;
}

export interface StoredComparison extends Row {
  readonly document: ComparisonDocument;
  readonly unreadable: null;
}

/** A kept comparison whose document this version cannot read; it is left as it is. */
export interface UnreadableComparison extends Row {
  readonly document: null;
  readonly unreadable: {
    readonly code: 'damaged' | 'later-version' | 'invalid';
    readonly detail: string;
  };
}

export type KeptComparison = StoredComparison | UnreadableComparison;

export interface ComparisonPage {
  readonly items: readonly KeptComparison[];
  readonly total: number;
  readonly page: number;
  readonly pageSize: number;
}

/** Lists begin with the latest change, or go by the letters of a title or a problem. */
const COLUMNS = {
  updatedAt: 'c.updatedAt',
  createdAt: 'c.createdAt',
  title: 'LOWER(c.title)',
  problem: 'c.problem',
} as const satisfies Record<ListComparisonsDto['sort'], string>;

/** Read by the database, so that no document is taken apart here; one that is no JSON has none. */
const TAGS_IN_USE = `
  SELECT DISTINCT tag.value AS tag
  FROM comparison c, json_each(CASE WHEN json_valid(c.document) THEN c.document ELSE '{}' END, '$.tags') tag
  WHERE c.deletedAt IS NULL`;

/** Texts that must all be found in the search text. */
function needlesOf({ search, kind, method, tag }: ListComparisonsDto): readonly string[] {
  const marks = Object.entries({ kind, method, tag }) as ['kind' | 'method' | 'tag', string][];
  return [
    searchable(search),
    ...marks.flatMap(([what, name]) => (name === '' ? [] : [mark(what, name)])),
  ].filter((needle) => needle !== '');
}

/** Keeps comparisons. Every write names the version it replaces, and a stale one changes nothing. */
@Injectable()
export class ComparisonsService {
  constructor(
    @InjectRepository(ComparisonEntity)
    private readonly repository: Repository<ComparisonEntity>,
  ) {}

  async list(wanted: ListComparisonsDto): Promise<ComparisonPage> {
    const { page, pageSize, sort, order, deleted } = wanted;
    const query = this.repository
      .createQueryBuilder('c')
      .where(deleted ? 'c.deletedAt IS NOT NULL' : 'c.deletedAt IS NULL');
    const needles = needlesOf(wanted);
    for (const [k, needle] of needles.entries()) {
      query.andWhere(`c.searchText LIKE :needle${k} ESCAPE '\\'`, {
        [`needle${k}`]: `%${escapeLike(needle)}%`,
      });
    }
    query
      .orderBy(
        deleted && sort === 'updatedAt' ? 'c.deletedAt' : COLUMNS[sort],
        order === 'asc' ? 'ASC' : 'DESC',
      )
      .addOrderBy('c.id')
      .skip((page - 1) * pageSize)
      .take(pageSize);
    const [entities, total] = await patiently(() => query.getManyAndCount());
    return { items: entities.map(kept), total, page, pageSize };
  }

  /** Every tag that is used, in the order of the alphabet. */
  async tags(): Promise<readonly string[]> {
    const rows: readonly { readonly tag: unknown }[] = await patiently(() =>
      this.repository.query(TAGS_IN_USE),
    );
    return rows
      .flatMap(({ tag }) => (typeof tag === 'string' ? [tag] : []))
      .sort((one, other) => one.localeCompare(other));
  }

  async create(input: unknown): Promise<StoredComparison> {
    const now = new Date().toISOString();
    const entity = this.repository.create({
      ...columns(accepted(input)),
      id: randomUUID(),
      version: 1,
      createdAt: now,
      updatedAt: now,
      deletedAt: null,
    });
    await patiently(() => this.repository.insert(entity));
    return readable(kept(entity));
  }

  async read(id: string): Promise<StoredComparison> {
    return readable(kept(await this.find(id)));
  }

  /** The document as it is kept, whether it can be read or not. */
  async raw(id: string): Promise<string> {
    return (await this.find(id)).document;
  }

  async update(id: string, version: number, input: unknown): Promise<StoredComparison> {
    const change = { ...columns(accepted(input)), updatedAt: new Date().toISOString() };
    const { affected } = await patiently(() =>
      this.repository.update(
        { id, version, deletedAt: IsNull() },
        { ...change, version: version + 1 },
      ),
    );
    if (affected !== 1) throw await this.refusedWrite(id);
    return this.read(id);
  }

  async duplicate(id: string): Promise<StoredComparison> {
    const { document } = await this.read(id);
    const title = `${document.title} (copy)`.slice(0, 120);
    return this.create({ ...document, title });
  }

  async remove(id: string): Promise<void> {
    const deletedAt = new Date().toISOString();
    const { affected } = await patiently(() =>
      this.repository.update({ id, deletedAt: IsNull() }, { deletedAt }),
    );
    if (affected !== 1) throw unknownComparison(id);
  }

  /** A deleted comparison goes for good. */
  async forget(id: string): Promise<void> {
    const { affected } = await patiently(() =>
      this.repository.delete({ id, deletedAt: Not(IsNull()) }),
    );
    if (affected !== 1) throw unknownComparison(id);
  }

  /** Brings a deleted comparison back; one that is there already is left as it is. */
  async restore(id: string): Promise<KeptComparison> {
    await patiently(() =>
      this.repository.update({ id, deletedAt: Not(IsNull()) }, { deletedAt: null }),
    );
    return kept(await this.find(id));
  }

  private async find(id: string): Promise<ComparisonEntity> {
    const entity = await patiently(() => this.repository.findOneBy({ id, deletedAt: IsNull() }));
    if (!entity) throw unknownComparison(id);
    return entity;
  }

  private async refusedWrite(id: string): Promise<Failure> {
    const current = await this.read(id);
    return new Failure(
      'comparison-stale',
      `It is now at version ${current.version}; choose which version to keep.`,
      { current },
    );
  }
}

function accepted(input: unknown): ComparisonDocument {
  const decoded = decodeComparison(JSON.parse(JSON.stringify(input)), registry);
  if (decoded.ok) return decoded.document;
  throw new Failure('comparison-invalid', decoded.fault, { where: decoded.where });
}

function columns(document: ComparisonDocument) {
  const { title, problem } = document;
  return {
    title,
    problem,
    searchText: searchTextOf(document),
    document: JSON.stringify(document),
  };
}

function escapeLike(text: string): string {
  return text.replace(/[\\%_]/g, '\\$&');
}

/** A row as it is told. What this version cannot read is named and left alone. */
function kept(entity: ComparisonEntity): KeptComparison {
  const { id, version, createdAt, updatedAt, title, problem } = entity;
  const row = { id, version, createdAt, updatedAt, title, problem };
  const read = readDocument(entity.document);
  return 'code' in read
    ? { ...row, document: null, unreadable: read }
    : { ...row, document: read, unreadable: null };
}

function readDocument(text: string): ComparisonDocument | UnreadableComparison['unreadable'] {
  let fields: unknown;
  try {
    fields = JSON.parse(text);
  } catch {
    return { code: 'damaged', detail: 'It is no longer readable as JSON.' };
  }
  const decoded = decodeComparison(fields, registry);
  if (decoded.ok) return decoded.document;
  const { where, fault } = decoded;
  return where === 'version'
    ? { code: 'later-version', detail: fault }
    : { code: 'invalid', detail: `${where}: ${fault}` };
}

function readable(comparison: KeptComparison): StoredComparison {
  if (comparison.unreadable === null) return comparison;
  const { id, title, problem, unreadable } = comparison;
  throw new Failure(
    'comparison-unreadable',
    `This version of Levee cannot read it (${unreadable.detail}). It is kept as it is and can be exported as it is.`,
    { id, name: title || problem, reason: unreadable.code },
  );
}

function unknownComparison(id: string): Failure {
  return new Failure(
    'comparison-unknown',
    `No comparison has the id ${id}; it may have been deleted.`,
  );
}
