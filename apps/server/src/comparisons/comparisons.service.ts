import { randomUUID } from 'node:crypto';
import {
  decodeComparison,
  isCounted,
  OWN_LINES,
  registry,
  titleWith,
  type ComparisonDocument,
  type OwnWork,
} from '@levee/core';
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { IsNull, Not, Repository } from 'typeorm';
import { Failure } from '../common/failure.ts';
import { patiently } from '../database/patience.ts';
import type { ListComparisonsDto } from './comparison.dto.ts';
import { ComparisonEntity } from './comparison.entity.ts';
import { listedOf, type Listed } from './listed.ts';
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

/** A row of a list: what it shows, and why where that cannot be told. */
export type ListedComparison = Row & {
  readonly listed: Listed | null;
  readonly unreadable: UnreadableComparison['unreadable'] | null;
};

/** A way of own lines that has a name, on the comparison that it stands on. */
export interface NamedWay {
  readonly problem: string;
  readonly name: string;
  readonly lines: readonly string[];
}

export interface ComparisonPage {
  readonly items: readonly ListedComparison[];
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

/** The named ways of kept comparisons, the latest change first. */
const NAMED_WAYS = `
  SELECT c.problem AS problem, json_extract(paper.value, '$.own') AS own
  FROM (SELECT problem, document FROM comparison
    WHERE deletedAt IS NULL AND searchText LIKE ? ESCAPE '\\' ORDER BY updatedAt DESC LIMIT 100) c,
    json_each(CASE WHEN json_valid(c.document) THEN c.document ELSE '{}' END, '$.papers') paper
  WHERE json_extract(paper.value, '$.own.name') <> ''`;

/** Columns that a list is made of; no document is among them. */
const LISTED = [
  'c.id AS id',
  'c.version AS version',
  'c.createdAt AS createdAt',
  'c.updatedAt AS updatedAt',
  'c.title AS title',
  'c.problem AS problem',
  'c.listed AS listed',
  'c.size <> octet_length(c.document) AS altered',
];

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
      .addOrderBy('c.id');
    const total = await patiently(() => query.getCount());
    const rows: readonly ListedRow[] = await patiently(() =>
      query
        .select(LISTED)
        .offset((page - 1) * pageSize)
        .limit(pageSize)
        .getRawMany(),
    );
    const items: ListedComparison[] = [];
    for (const row of rows) items.push(listedRow(row) ?? (await this.lookedInto(row)));
    return { items, total, page, pageSize };
  }

  /** A row whose document is not as it was written, or could not be read then: it is looked into, alone. */
  private async lookedInto(row: ListedRow): Promise<ListedComparison> {
    const entity = await patiently(() => this.repository.findOneBy({ id: row.id }));
    const read = readDocument(entity?.document ?? '');
    return 'code' in read
      ? { ...rowOf(row), listed: null, unreadable: read }
      : { ...rowOf(row), listed: listedOf(read), unreadable: null };
  }

  /** Ways that were given a name on any of the hundred latest comparisons with own lines. */
  async namedWays(): Promise<readonly NamedWay[]> {
    const needle = `%${escapeLike(mark('method', OWN_LINES))}%`;
    const rows: readonly { readonly problem: string; readonly own: string }[] = await patiently(
      () => this.repository.query(NAMED_WAYS, [needle]),
    );
    return rows.map(({ problem, own }) => {
      const { name, lines } = JSON.parse(own) as OwnWork;
      return { problem, name, lines: lines.filter(isCounted).map(({ text }) => text) };
    });
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
    return this.create({ ...document, title: titleWith(document.title, 'copy') });
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
  const text = JSON.stringify(document);
  return {
    title,
    problem,
    searchText: searchTextOf(document),
    document: text,
    listed: JSON.stringify(listedOf(document)),
    size: Buffer.byteLength(text),
  };
}

/** A row of the table without its document. */
type ListedRow = Row & { readonly listed: string | null; readonly altered: 0 | 1 };

/** What a list shows of a row; null where its document must be looked into for that. */
function listedRow(row: ListedRow): ListedComparison | null {
  if (row.altered || row.listed === null) return null;
  return { ...rowOf(row), listed: JSON.parse(row.listed) as Listed, unreadable: null };
}

function rowOf({ id, version, createdAt, updatedAt, title, problem }: ListedRow): Row {
  return { id, version, createdAt, updatedAt, title, problem };
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
