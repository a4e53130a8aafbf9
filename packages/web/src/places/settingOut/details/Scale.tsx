import { lazy, Suspense, useState } from 'react';
import Button from '@mui/material/Button';
import type { Design, OfficeStandard } from '@mendrel/core';

// What solves every size anew is fetched when it is asked for.
const ScaleDialog = lazy(() => import('./ScaleDialog').then((module) => ({ default: module.ScaleDialog })));

interface Props {
  design: Design;
  standard: OfficeStandard;
  /** The panel that is scaled; all of the design when left out. */
  panel?: string;
  onEdit: (edit: (design: Design) => Design) => void;
}

/** Asks by how much a design or one of its panels is scaled. */
export function Scale(props: Props) {
  const [asking, setAsking] = useState(false);
  return (
    <>
      <Button size="small" onClick={() => setAsking(true)}>
        {props.panel === undefined ? 'Scale the design…' : 'Scale…'}
      </Button>
      {asking ? (
        <Suspense fallback={null}>
          <ScaleDialog {...props} onClose={() => setAsking(false)} />
        </Suspense>
      ) : null}
    </>
  );
}
