import { randomUUID } from 'node:crypto';
import {
  decodeComparison,
  migrateComparison,
  registry,
  type ComparisonDocument,
} from '@levee/core';
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { IsNull, Not, Repository } from 'typeorm';
import { Failure } from '../common/failure.ts';
import { ComparisonEntity } from './comparison.entity.ts';

export interface StoredComparison {
  readonly id: string;
  readonly version: number;
  readonly createdAt: string;
  readonly updatedAt: string;
  readonly document: ComparisonDocument;
}

export interface ComparisonPage {
  readonly items: readonly StoredComparison[];
  readonly total: number;
  readonly page: number;
  readonly pageSize: number;
}

/** Keeps comparisons. Every write names the version it replaces, and a stale one changes nothing. */
@Injectable()
export class ComparisonsService {
  constructor(
    @InjectRepository(ComparisonEntity)
    private readonly repository: Repository<ComparisonEntity>,
  ) {}

  async list(search: string, page: number, pageSize: number): Promise<ComparisonPage> {
    const query = this.repository.createQueryBuilder('c').where('c.deletedAt IS NULL');
    const needle = searchable(search);
    if (needle !== '') {
      query.andWhere("c.searchText LIKE :needle ESCAPE '\\'", {
        needle: `%${escapeLike(needle)}%`,
      });
    }
    const [entities, total] = await query
      .orderBy('c.updatedAt', 'DESC')
      .addOrderBy('c.id')
      .skip((page - 1) * pageSize)
      .take(pageSize)
      .getManyAndCount();
    return { items: entities.map(stored), total, page, pageSize };
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
    await this.repository.insert(entity);
    return stored(entity);
  }

  async read(id: string): Promise<StoredComparison> {
    const entity = await this.repository.findOneBy({ id, deletedAt: IsNull() });
    if (!entity) throw unknownComparison(id);
    return stored(entity);
  }

  async update(id: string, version: number, input: unknown): Promise<StoredComparison> {
    const change = { ...columns(accepted(input)), updatedAt: new Date().toISOString() };
    const { affected } = await this.repository.update(
      { id, version, deletedAt: IsNull() },
      { ...change, version: version + 1 },
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
    const { affected } = await this.repository.update(
      { id, deletedAt: IsNull() },
      { deletedAt: new Date().toISOString() },
    );
    if (affected !== 1) throw unknownComparison(id);
  }

  /** Brings a deleted comparison back; one that is there already is left as it is. */
  async restore(id: string): Promise<StoredComparison> {
    await this.repository.update({ id, deletedAt: Not(IsNull()) }, { deletedAt: null });
    return this.read(id);
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
  const { title, story, problem } = document;
  return {
    title,
    problem,
    searchText: [title, story, problem].map(searchable).join('\n'),
    document: JSON.stringify(document),
  };
}

/** Lower case, all signs of one kind alike, no spaces around them. */
function searchable(text: string): string {
  return text
    .toLowerCase()
    .replace(/(?<=[0-9a-f])\s*[x×·*]\s*(?=[0-9])/g, '×')
    .replace(/(?<=[0-9a-f])\s*[÷:]\s*(?=[0-9])/g, '÷')
    .replace(/(?<=[0-9a-f])\s*\+\s*(?=[0-9])/g, '+')
    .replace(/(?<=[0-9a-f])\s*[−-]\s*(?=[0-9])/g, '−')
    .trim();
}

function escapeLike(text: string): string {
  return text.replace(/[\\%_]/g, '\\$&');
}

function stored({
  id,
  version,
  createdAt,
  updatedAt,
  document,
}: ComparisonEntity): StoredComparison {
  return {
    id,
    version,
    createdAt,
    updatedAt,
    document: upToDate(document),
  };
}

/** A kept document in the current version; it was accepted when it was kept. */
function upToDate(kept: string): ComparisonDocument {
  const fields = JSON.parse(kept) as Record<string, unknown>;
  return migrateComparison(fields) as unknown as ComparisonDocument;
}

function unknownComparison(id: string): Failure {
  return new Failure(
    'comparison-unknown',
    `No comparison has the id ${id}; it may have been deleted.`,
  );
}
