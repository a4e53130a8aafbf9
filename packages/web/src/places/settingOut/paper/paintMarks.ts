import type { Viewport } from '../../../paper/viewport';
import type { Mark } from './marks';

/** Paints marks on the paper as `PaperMarks` shows them. */
export function paintMarks(
  context: CanvasRenderingContext2D,
  marks: readonly Mark[],
  paperHeight: number,
  { x, y, scale }: Viewport,
): void {
  for (const mark of marks) {
    context.save();
    context.translate(x, y);
    context.scale(scale, scale);
    if (mark.turn) {
      const { about, degrees } = mark.turn;
      context.translate(about.x, paperHeight - about.y);
      context.rotate((-degrees * Math.PI) / 180);
      context.translate(-about.x, about.y - paperHeight);
    }
    context.fillStyle = mark.colour;
    if (mark.kind === 'box') {
      const { rect } = mark;
      context.beginPath();
      context.rect(rect.x, paperHeight - rect.y - rect.height, rect.width, rect.height);
      context.globalAlpha = mark.ground;
      context.fill();
      context.globalAlpha = 1;
      context.strokeStyle = mark.colour;
      context.lineWidth = mark.linePixels / scale;
      context.setLineDash((mark.dashPixels ?? []).map((pixels) => pixels / scale));
      if (mark.linePixels > 0) context.stroke();
    } else {
      context.translate(mark.at.x, paperHeight - mark.at.y);
      context.scale(1 / scale, 1 / scale);
      context.font = `400 ${mark.height * scale}px "Public Sans"`;
      context.textAlign = mark.centred ? 'center' : 'left';
      context.fillText(mark.words, 0, 0);
    }
    context.restore();
  }
}
