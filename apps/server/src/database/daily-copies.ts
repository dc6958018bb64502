import { Logger, type OnModuleDestroy } from '@nestjs/common';
import { copiesOf, copyOfToday, sizeText } from './copies.ts';

const HOUR = 60 * 60 * 1000;

/** Keeps a copy of the data file at the start and then once a day, and says what it keeps. */
export class DailyCopies implements OnModuleDestroy {
  private readonly logger = new Logger('Copies');
  private timer: NodeJS.Timeout | undefined;
  private copying: Promise<void> | null = null;

  constructor(
    private readonly file: string,
    private readonly tell: (line: string) => void,
  ) {}

  /** Once requests are answered: a start that fails copies nothing. */
  async start(): Promise<void> {
    await this.look();
    this.timer = setInterval(() => void this.look(), HOUR);
    this.timer.unref();
  }

  async onModuleDestroy(): Promise<void> {
    clearInterval(this.timer);
    await this.copying;
  }

  /** Makes today's copy where it is missing; one that cannot be made is told and tried again later. */
  private async look(): Promise<void> {
    this.copying ??= this.copy().finally(() => {
      this.copying = null;
    });
    await this.copying;
  }

  private async copy(): Promise<void> {
    try {
      const made = await copyOfToday(this.file, new Date());
      if (!made) return;
      const all = copiesOf(this.file);
      const total = all.reduce((sum, { size }) => sum + size, 0);
      this.tell(
        `Copied the data to ${made.path} (${sizeText(made.size)}; ${all.length === 1 ? '1 copy' : `${all.length} copies`}, ${sizeText(total)} in all).`,
      );
    } catch (error) {
      this.logger.warn(`Today's copy could not be made: ${(error as Error).message}`);
    }
  }
}
