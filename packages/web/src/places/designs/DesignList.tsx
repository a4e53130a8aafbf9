import { useState } from 'react';
import { Link as RouterLink, useNavigate } from 'react-router';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import BookmarkIcon from '@mui/icons-material/Bookmark';
import BookmarkBorderIcon from '@mui/icons-material/BookmarkBorder';
import { useSnackbar } from 'notistack';
import type { DesignSummary } from '@mendrel/contract';
import { forSizes, triedOn } from '@mendrel/core';
import { api, errorOf } from '../../app/api';
import { useCommands } from '../../app/commands';
import { PlaceBar } from '../../app/Shell';
import { Empty, Failed, Loading } from '../../app/states';
import { useTypefaces } from '../../app/typefaces';
import { SheetPicture } from '../../paper/SheetPicture';
import { solveFor } from '../../paper/useSolved';
import { standardInWords } from '../standard/words';
import { DeleteDesign } from './DeleteDesign';
import type { NewDesignChoice } from './NewDesign';
import { namesInWords } from './namesInWords';
import { NewDesign } from './NewDesign';
import { ReadDesignFile } from './ReadDesignFile';

/** The designs of the practice, each with its picture, its sizes and the projects that use it. */
export default function DesignList() {
  const { data, error, isLoading, refetch } = api.useDesignsQuery();
  const [create, creating] = api.useCreateDesignMutation();
  const [addToStandard] = api.useAddToStandardMutation();
  const navigate = useNavigate();
  const { enqueueSnackbar } = useSnackbar();
  const [starting, setStarting] = useState(false);
  const standard = api.useStandardQuery();
  const [load] = api.endpoints.design.useLazyQuery();
  const start = async (choice: NewDesignChoice): Promise<void> => {
    let document = 'document' in choice ? choice.document : undefined;
    if ('copyOf' in choice) {
      const from = await load(choice.copyOf);
      if (!from.data) {
        enqueueSnackbar(errorOf(from.error).message, { variant: 'error' });
        return;
      }
      const copied = { ...from.data.document, name: choice.name };
      document = choice.sizes ? forSizes(copied, choice.sizes) : copied;
    }
    if (!document) return;
    // Sizes that were typed into the standard since it was published last go along with the design that needs them.
    const drafted = standard.data?.draft.sizes ?? [];
    const own = drafted.filter(({ name }) => document.sizes.some(({ size }) => size === name));
    if (own.length > 0) {
      const added = await addToStandard({ sizes: own });
      if (added.error) {
        enqueueSnackbar(errorOf(added.error).message, { variant: 'error' });
        return;
      }
      if (added.data.published) {
        const names = own.map(({ name }) => name).join(', ');
        enqueueSnackbar(`${names} published with revision ${added.data.revision} of the standard, for this design`);
      }
    }
    const result = await create({ document });
    if (result.data) void navigate(`/designs/${result.data.id}`);
    else enqueueSnackbar(errorOf(result.error).message, { variant: 'error' });
  };
  useCommands([{ name: 'New design', run: () => setStarting(true) }]);
  return (
    <>
      <PlaceBar title="Designs">
        <Box sx={{ flex: 1 }} />
        <Link component={RouterLink} to="/designs/adoption">
          Adoption
        </Link>
        <Link component={RouterLink} to="/designs/text-heights">
          Text heights
        </Link>
        <ReadDesignFile />
        <Button component={RouterLink} to="/intake" variant="outlined">
          Convert a legacy drawing
        </Button>
        <Button variant="contained" disabled={creating.isLoading} onClick={() => setStarting(true)}>
          New design
        </Button>
      </PlaceBar>
      {starting && data && standard.data ? (
        <NewDesign
          designs={data}
          standard={standard.data.draft}
          onStart={(choice) => void start(choice)}
          onClose={() => setStarting(false)}
        />
      ) : null}
      <Box sx={{ flex: 1, overflow: 'auto', p: 6 }}>
        {isLoading ? <Loading what="the designs" /> : null}
        {error ? <Failed error={error} retry={() => void refetch()} /> : null}
        {data?.length === 0 ? (
          <Empty title="No designs yet">Start one from a plain strip, or convert a legacy drawing.</Empty>
        ) : null}
        <Box
          component="ul"
          sx={{
            listStyle: 'none',
            m: 0,
            p: 0,
            display: 'grid',
            gridTemplateColumns: 'repeat(auto-fill, minmax(330px, 1fr))',
            gap: 5,
          }}
        >
          {data?.map((design) => (
            <DesignCard key={design.id} design={design} />
          ))}
        </Box>
      </Box>
    </>
  );
}

/** Keeps a design as a starter of the office, or no longer. */
function StarterSwitch({ design: { id, name, starter } }: { design: DesignSummary }) {
  const [keep, keeping] = api.useKeepAsStarterMutation();
  const { enqueueSnackbar } = useSnackbar();
  const change = async (): Promise<void> => {
    const { error } = await keep({ id, starter: !starter });
    if (error) enqueueSnackbar(errorOf(error).message, { variant: 'error' });
  };
  return (
    <IconButton
      size="small"
      aria-pressed={starter}
      aria-label={`Keep ${name} as a starter`}
      title={starter ? 'Starter for new designs' : 'Keep as a starter for new designs'}
      color={starter ? 'primary' : 'default'}
      disabled={keeping.isLoading}
      onClick={() => void change()}
    >
      {starter ? <BookmarkIcon fontSize="small" /> : <BookmarkBorderIcon fontSize="small" />}
    </IconButton>
  );
}

function DesignCard({ design }: { design: DesignSummary }) {
  const { data } = api.useDesignQuery(design.id);
  const by = api.useStandardAtQuery(design.standard).currentData?.standard;
  const typefaces = useTypefaces();
  const size = design.sizes.includes('ISO A1') ? 'ISO A1' : (design.sizes[0] ?? 'ISO A1');
  const solved = data && by ? solveFor(data.document, size, triedOn('typical', by), by, typefaces) : undefined;
  return (
    <Box component="li" sx={{ bgcolor: 'background.paper', border: 1, borderColor: 'divider', borderRadius: 2, p: 4 }}>
      <Box sx={{ height: 214, display: 'grid', placeItems: 'center', mb: 3 }}>
        {solved && !solved.problem ? (
          <SheetPicture
            drawing={solved.drawing}
            width={300}
            height={210}
            label={`${design.name} on ${size}`}
            least={0.6}
          />
        ) : null}
      </Box>
      <Box sx={{ display: 'flex', alignItems: 'center' }}>
        <Typography variant="h2" component="h2" noWrap title={design.name} sx={{ flex: 1 }}>
          <Link component={RouterLink} to={`/designs/${design.id}`}>
            {design.name}
          </Link>
        </Typography>
        <StarterSwitch design={design} />
        <DeleteDesign design={design} />
      </Box>
      <Typography sx={{ color: 'text.secondary', mt: 1 }}>{design.sizes.join(', ')}</Typography>
      <Typography sx={{ color: 'text.secondary' }}>
        {design.revision === null ? 'Draft, not published yet' : `Revision ${design.revision} published`} ·{' '}
        {standardInWords(design.standard)}
      </Typography>
      <Typography sx={{ color: 'text.secondary' }}>
        {design.projects.length === 0 ? 'No project uses it yet' : `Used by ${namesInWords(design.projects)}`}
      </Typography>
    </Box>
  );
}
