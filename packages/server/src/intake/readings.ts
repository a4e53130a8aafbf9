import type { IntakeProgress, TellProgress } from '@mendrel/core';

/** Readings that are followed at the same time. */
const MOST_FOLLOWED = 100;

/** How far the readings of drawings are, for as long as they go on, by the ids they are asked for with. */
export class Readings {
  private readonly progress = new Map<string, IntakeProgress>();

  /** Follows a reading until it has ended, however it ends. Of too many, the latest are not followed. */
  async follow<T>(id: string | undefined, read: (tell?: TellProgress) => Promise<T>): Promise<T> {
    if (id === undefined || this.progress.size >= MOST_FOLLOWED) return read();
    this.progress.set(id, { step: 'read', part: 0 });
    try {
      return await read((progress) => this.progress.set(id, progress));
    } finally {
      this.progress.delete(id);
    }
  }

  /** How far a reading is; undefined when it has not begun, or has ended. */
  at(id: string): IntakeProgress | undefined {
    return this.progress.get(id);
  }
}
