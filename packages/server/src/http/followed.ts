/** Works that are followed at the same time. */
const MOST_FOLLOWED = 100;

/** How far long works are, for as long as they go on, by the ids they are asked for with. */
export class Followed<Progress> {
  private readonly progress = new Map<string, Progress>();

  /** @param beginning how far a work is that has just begun */
  constructor(private readonly beginning: Progress) {}

  /** Follows a work until it has ended, however it ends. Of too many, the latest are not followed. */
  async follow<T>(id: string | undefined, work: (tell?: (progress: Progress) => void) => Promise<T>): Promise<T> {
    if (id === undefined || this.progress.size >= MOST_FOLLOWED) return work();
    this.progress.set(id, this.beginning);
    try {
      return await work((progress) => this.progress.set(id, progress));
    } finally {
      this.progress.delete(id);
    }
  }

  /** How far a work is; undefined when it has not begun, or has ended. */
  at(id: string): Progress | undefined {
    return this.progress.get(id);
  }
}
