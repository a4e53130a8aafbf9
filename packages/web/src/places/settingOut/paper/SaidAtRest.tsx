import { memo, useLayoutEffect, useState } from 'react';
import { visuallyHidden } from '@mui/utils';

/** The hand rests when nothing changes for this many milliseconds. */
const REST = 300;

/** Says words to those who listen once they stay as they are for a moment; said with every step they would be noise. */
export const SaidAtRest = memo(function SaidAtRest({ words }: { words: string }) {
  const [said, setSaid] = useState('');
  // The clock is outside of React. It is set with the frame: an effect of its own after each would cost more than it does.
  useLayoutEffect(() => {
    const timer = setTimeout(() => setSaid(words), REST);
    return () => clearTimeout(timer);
  }, [words]);
  return (
    <div role="status" style={visuallyHidden}>
      {said}
    </div>
  );
});
