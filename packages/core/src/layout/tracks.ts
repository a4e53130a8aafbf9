/** A track with its lengths evaluated, in mm. */
export type SizedTrack =
  | { kind: 'fixed'; length: number }
  | { kind: 'share'; share: number; min: number; max: number }
  | { kind: 'fit'; natural: number; min: number; max: number };

const clamp = (value: number, min: number, max: number): number => Math.max(min, Math.min(max, value));

/**
 * Sizes the tracks of one division. Fixed tracks keep their length whatever happens; `fit` tracks take what their
 * content needs; what is left goes to the shares in proportion, each within its own least and most.
 * @param available length to be divided, in mm
 * @returns the lengths, and by how many mm the tracks are longer than the room (0 when they are not)
 */
export function sizeTracks(tracks: readonly SizedTrack[], available: number): { lengths: number[]; over: number } {
  const lengths = new Array<number>(tracks.length).fill(0);
  let left = available;
  let open: number[] = [];
  for (let i = 0; i < tracks.length; i++) {
    const track = tracks[i];
    if (!track) continue;
    if (track.kind === 'share') open.push(i);
    else {
      const length = track.kind === 'fixed' ? track.length : clamp(track.natural, track.min, track.max);
      lengths[i] = length;
      left -= length;
    }
  }
  // Shares whose proportional part breaks their least or most are fixed at that limit and the rest is shared anew. Only
  // the side that is off by more in total is fixed in one round, which is what makes the rounds end in the right place.
  while (open.length > 0) {
    let sum = 0;
    for (const i of open) sum += shareOf(tracks[i]);
    const unit = Math.max(0, left) / sum;
    let violation = 0;
    for (const i of open) {
      const track = tracks[i];
      if (track?.kind !== 'share') continue;
      const ideal = unit * track.share;
      const held = clamp(ideal, track.min, track.max);
      lengths[i] = held;
      violation += held - ideal;
    }
    const next: number[] = [];
    for (const i of open) {
      const track = tracks[i];
      if (track?.kind !== 'share') continue;
      const off = (lengths[i] ?? 0) - unit * track.share;
      const frozen = violation === 0 || (violation > 0 ? off > 0 : off < 0);
      if (frozen) left -= lengths[i] ?? 0;
      else next.push(i);
    }
    if (next.length === open.length) break;
    open = next;
  }
  let total = 0;
  for (const length of lengths) total += length;
  return { lengths, over: total > available + 1e-6 ? total - available : 0 };
}

const shareOf = (track: SizedTrack | undefined): number => (track?.kind === 'share' ? track.share : 0);
