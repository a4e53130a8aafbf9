import { useSnackbar } from 'notistack';
import type { Design } from '@mendrel/core';
import { takeFrame } from '@mendrel/core';
import { api, errorOf } from '../../../app/api';
import { Chosen } from '../../../app/Chosen';

/** Takes the frame of another design of the office; starters come first, under whose names frames are kept. */
export function FrameOfDesign({ onEdit }: { onEdit: (edit: (design: Design) => Design) => void }) {
  const { data: designs = [] } = api.useDesignsQuery();
  const [ask] = api.useLazyDesignQuery();
  const { enqueueSnackbar } = useSnackbar();
  const take = async (id: string): Promise<void> => {
    const answer = await ask(id, true);
    const { data, error } = answer;
    if (data) onEdit((now) => takeFrame(now, data.document));
    else enqueueSnackbar(`The frame was not taken: ${errorOf(error).message}`, { variant: 'error' });
  };
  const sorted = [...designs.filter(({ starter }) => starter), ...designs.filter(({ starter }) => !starter)];
  return (
    <Chosen
      label="As in another design"
      value=""
      options={[['', 'Choose one…'], ...sorted.map(({ id, name }) => [id, name] as const)]}
      help="Takes its margins, pen and marks"
      onSet={(id) => void (id === '' ? undefined : take(id))}
    />
  );
}
