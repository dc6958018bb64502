import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A kept comparison. The document is the truth; title, problem and methods are copies for searching. */
@Entity('comparison')
export class ComparisonEntity {
  @PrimaryColumn('text')
  id: string;

  /** Counts writes from 1; a write must name the version it replaces. */
  @Column('integer')
  version: number;

  @Column('text')
  title: string;

  @Column('text')
  problem: string;

  /** The problem with its times signs as `*` and without spaces, so that `46x58` finds `46 × 58`. */
  @Column('text')
  searchText: string;

  /** A comparison document as JSON. */
  @Column('text')
  document: string;

  /** What a list shows of it, as JSON; null where it could not be read. */
  @Column('text', { nullable: true })
  listed: string | null;

  /** Bytes of the document when it was written. */
  @Column('integer')
  size: number;

  /** ISO 8601, UTC. */
  @Column('text')
  createdAt: string;

  @Column('text')
  updatedAt: string;

  /** When it was deleted; it can be brought back. */
  @Column('text', { nullable: true })
  deletedAt: string | null;
}
