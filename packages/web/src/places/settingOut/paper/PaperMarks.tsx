import type { Mark } from './marks';

/** Marks on the paper as elements, in an SVG coordinate system of mm with y down. */
export function PaperMarks({ marks, paperHeight }: { marks: readonly Mark[]; paperHeight: number }) {
  return marks.map((mark) => (
    <g
      key={mark.key}
      pointerEvents="none"
      transform={mark.turn && `rotate(${-mark.turn.degrees} ${mark.turn.about.x} ${paperHeight - mark.turn.about.y})`}
    >
      {mark.kind === 'box' ? (
        <rect
          x={mark.rect.x}
          y={paperHeight - mark.rect.y - mark.rect.height}
          width={mark.rect.width}
          height={mark.rect.height}
          fill={mark.colour}
          fillOpacity={mark.ground}
          stroke={mark.colour}
          strokeWidth={mark.linePixels}
          strokeDasharray={mark.dashPixels?.join(' ')}
          vectorEffect="non-scaling-stroke"
        />
      ) : (
        <text
          x={mark.at.x}
          y={paperHeight - mark.at.y}
          fontSize={mark.height}
          textAnchor={mark.centred ? 'middle' : undefined}
          fill={mark.colour}
          fontFamily="Public Sans"
        >
          {mark.words}
        </text>
      )}
    </g>
  ));
}
