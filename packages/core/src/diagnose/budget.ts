/**
 * What a search may still spend, counted in chances and facts that are worked, so that the same input is always cut at the
 * same place: no clock is asked. What is begun is finished, so that it may be overdrawn by one work.
 */
export class Budget {
  private cut = false;

  constructor(private left: number) {}

  /** What is left of it, not below nothing. */
  get rest(): number {
    return Math.max(0, this.left);
  }

  /** Whether something had to be left out. */
  get isCut(): boolean {
    return this.cut;
  }

  /** Whether one more work may be begun; where not, the search says that it was cut. */
  goesOn(): boolean {
    if (this.left <= 0) this.cut = true;
    return this.left > 0;
  }

  spend(count: number): void {
    this.left -= count;
  }

  /** Items that may be worked one after the other, as far as it lasts; what comes of each. */
  each<T, Made>(items: readonly T[], cost: number, work: (item: T) => Made): readonly Made[] {
    const made: Made[] = [];
    for (const item of items) {
      if (!this.goesOn()) break;
      this.spend(cost);
      made.push(work(item));
    }
    return made;
  }

  /** Takes note of what was spent elsewhere on its account, and whether something was left out there. */
  charge(spent: number, isCut: boolean): void {
    this.left -= spent;
    this.cut ||= isCut;
  }

  /** Does something with a share of what is left; what it does not use comes back. */
  share<Made>(part: number, work: (own: Budget) => Made): Made {
    return this.within(Math.ceil(this.rest * part), work);
  }

  /** Does something with at most so much of what is left; what it does not use comes back. */
  within<Made>(most: number, work: (own: Budget) => Made): Made {
    const given = Math.min(most, this.rest);
    const own = new Budget(given);
    const made = work(own);
    this.left -= given - own.left;
    this.cut ||= own.cut;
    return made;
  }
}
