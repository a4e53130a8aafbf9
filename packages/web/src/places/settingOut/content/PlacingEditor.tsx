import type { Content, TextLayout, WorkingUnit } from '@mendrel/core';
import { amountInWords, formatLength } from '@mendrel/core';
import { Chosen } from '../../../app/Chosen';
import { Pair } from '../details/Section';
import { Typed } from '../../../app/Typed';

interface Props {
  content: Content;
  unit: WorkingUnit;
  onChange: (content: Content) => void;
}

const NO_SHIFT = { along: '0 mm', up: '0 mm' };

/** A content with one of its shifts set; without any, it has none. */
function shifted(content: Content, which: keyof typeof NO_SHIFT, text: string): Content {
  const { shift, ...rest } = content;
  const next = { ...NO_SHIFT, ...shift, [which]: text === '' ? NO_SHIFT[which] : text };
  const none = Object.values(next).every((each) => /^-?0(\.0*)? (mm|in)$/.test(each));
  return none ? rest : { ...content, shift: next };
}

/** Where a content sits in its cell. */
export function PlacingEditor({ content, unit, onChange }: Props) {
  return (
    <>
      <Pair>
        <Chosen
          label="Horizontal"
          value={content.horizontal}
          options={[
            ['left', 'Left'],
            ['centre', 'Centre'],
            ['right', 'Right'],
          ]}
          onSet={(horizontal) => onChange({ ...content, horizontal })}
        />
        <Chosen
          label="Vertical"
          value={content.vertical}
          options={[
            ['top', 'Top'],
            ['middle', 'Middle'],
            ['bottom', 'Bottom'],
          ]}
          onSet={(vertical) => onChange({ ...content, vertical })}
        />
        <Chosen
          label="Rotation"
          value={String(content.rotation)}
          options={[
            ['0', 'None'],
            ['90', '90° up'],
            ['180', '180°'],
            ['270', '90° down'],
          ]}
          onSet={(turn) => onChange({ ...content, rotation: Number(turn) as Content['rotation'] })}
        />
      </Pair>
      <Pair>
        {(
          [
            ['along', 'Shift along'],
            ['up', 'Shift up'],
          ] as const
        ).map(([which, label]) => (
          <Typed
            key={which}
            label={label}
            length={unit}
            value={content.shift?.[which] ?? ''}
            placeholder="none"
            onSet={(text) => onChange(shifted(content, which, text))}
          />
        ))}
      </Pair>
    </>
  );
}

/** What a text had to do to get into its cell. */
export function fitInWords(text: TextLayout, unit: WorkingUnit): string {
  switch (text.fit) {
    case 'fits':
      return `Fits on one line, ${amountInWords(text.width, unit)} wide.`;
    case 'wrapped':
      return `Wraps to ${text.lines.length} lines.`;
    case 'condensed':
      return `Condensed to ${Math.round(text.widthFactor * 100)} %${text.lines.length > 1 ? ` on ${text.lines.length} lines` : ''}.`;
    case 'stepped':
      return `Steps down to ${formatLength(text.height, unit, true)}${text.lines.length > 1 ? ` on ${text.lines.length} lines` : ''}.`;
    case 'spills':
      return `Spills by ${amountInWords(text.by, unit)}.`;
  }
}
