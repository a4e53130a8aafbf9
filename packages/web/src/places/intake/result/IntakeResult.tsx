import { useMemo, useState } from 'react';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useSnackbar } from 'notistack';
import type { ConversionRecord } from '@mendrel/contract';
import type { Asked, Corrections, OfficeStandard } from '@mendrel/core';
import { askedAt, formatLength, parametersOf, rowsInReport, sizeByExtent } from '@mendrel/core';
import { api, errorOf, faultOf } from '../../../app/api';
import { PlaceBar, TrailLink } from '../../../app/Shell';
import { Failed, Loading } from '../../../app/states';
import { useTypefaces } from '../../../app/typefaces';
import { solveFor } from '../../../paper/useSolved';
import { ReadingProgress } from '../ReadingProgress';
import { ApplyToSet } from './ApplyToSet';
import { AskedThing } from './AskedThing';
import { CompareBar } from './CompareBar';
import { ComparedPaper } from './ComparedPaper';
import { Differences } from './Differences';
import { FilledRows } from './FilledRows';
import { FoundFields } from './FoundFields';
import { Decisions } from './Decisions';
import { Layers } from './Layers';
import { LetteringAndPens } from './LetteringAndPens';
import type { Marked } from './marked';
import { OldPictures } from './OldPictures';
import { OnItsSizes } from './OnItsSizes';
import { Places } from './Places';
import { Proposals } from './Proposals';
import { SheetChoice } from './SheetChoice';
import { Teaching } from './Teaching';
import { useComparison } from './useComparison';
import { Sign } from '../../../app/FindingMark';

/** The set that a drawing stands in, and how many sheets its group has. */
interface OfSet {
  id: string;
  sheets: number;
}

/** A legacy drawing and what was made of it, one over the other. */
export default function IntakeResult() {
  const { id = '' } = useParams();
  const [search] = useSearchParams();
  const set = search.get('set');
  const ofSet = set === null ? undefined : { id: set, sheets: Number(search.get('sheets')) || 1 };
  const found = api.useConversionQuery(id);
  const { currentData: data } = found;
  const fault = faultOf(found);
  const drawings = api.useLegacyDrawingsQuery();
  const standards = api.useStandardQuery();
  const newest = standards.data?.revisions[0]?.number ?? null;
  const standard = api.useStandardAtQuery(newest, { skip: !standards.data });
  const drawing = drawings.data?.find((each) => each.id === id);
  if (fault) {
    return (
      <>
        <PlaceBar title={drawing?.name ?? 'Legacy drawing'} trail={<Trail set={ofSet} />} />
        <Failed error={fault} retry={() => void found.refetch()} />
      </>
    );
  }
  if (!data) {
    return (
      <>
        <PlaceBar title={drawing?.name ?? 'Legacy drawing'} trail={<Trail set={ofSet} />} />
        <Box sx={{ p: 8, maxWidth: 560 }}>
          <ReadingProgress reading={id} name={drawing?.name ?? 'The drawing'} />
        </Box>
      </>
    );
  }
  if (!standard.currentData || !standards.data) return <Loading what="the office standard" />;
  return (
    <Result
      key={id}
      id={id}
      name={data.name}
      ofSet={ofSet}
      conversion={data}
      standard={standard.currentData.standard}
      draft={standards.data.draft}
      keptAs={drawing?.designId ?? null}
    />
  );
}

const Trail = ({ set }: { set: OfSet | undefined }) =>
  set ? (
    <TrailLink to={`/intake/sets/${set.id}`}>Set of drawings</TrailLink>
  ) : (
    <TrailLink to="/intake">Intake</TrailLink>
  );

interface ResultProps {
  id: string;
  name: string;
  ofSet: OfSet | undefined;
  conversion: ConversionRecord;
  standard: OfficeStandard;
  /** The standard as it is being changed, whose parameters values are entered for. */
  draft: OfficeStandard;
  keptAs: string | null;
}

/** What lies this near to a click is meant, in mm. */
const NEAR = 1.5;

function Result({ id, name, ofSet, conversion, standard, draft, keptAs }: ResultProps) {
  const typefaces = useTypefaces();
  const [picked, setPicked] = useState<readonly string[]>([]);
  const [correct, correcting] = api.useCorrectIntakeMutation();
  const comparison = useComparison();
  const [marked, setMarked] = useState<Marked>();
  const [asked, setAsked] = useState<Asked>();
  const [keep, keeping] = api.useKeepLegacyMutation();
  const navigate = useNavigate();
  const { enqueueSnackbar } = useSnackbar();
  const { report, values, legacy, design, corrections, places } = conversion;
  const parameters = useMemo(() => [...parametersOf(draft).values()], [draft]);
  const corrected = Object.keys(corrections).length > 0;
  const tried = useMemo(() => ({ values, tables: rowsInReport(report) }), [values, report]);
  const solved = useMemo(
    () => solveFor(design, report.sheet.name, tried, standard, typefaces),
    [design, report, tried, standard, typefaces],
  );
  const unit = design.unit;

  const keepIt = async (): Promise<void> => {
    const result = await keep({ id, document: design });
    if (result.data) {
      enqueueSnackbar('Saved as a design', { variant: 'success' });
      void navigate(`/designs/${result.data.id}`);
    } else enqueueSnackbar(`Not saved: ${errorOf(result.error).message}`, { variant: 'error' });
  };

  const setRight = async (next: Corrections): Promise<void> => {
    setPicked([]);
    setAsked(undefined);
    const result = await correct({ id, corrections: next });
    if (!result.data) enqueueSnackbar(`Not corrected: ${errorOf(result.error).message}`, { variant: 'error' });
  };
  const joinPicked = (): void => {
    const { origin, unitsPerPaperMm } = report.source;
    const points = report.cells
      .filter((cell) => picked.includes(cell.id))
      .map((cell) => ({
        x: origin.x + unitsPerPaperMm * (cell.x + cell.width / 2),
        y: origin.y + unitsPerPaperMm * (cell.y + cell.height / 2),
      }));
    void setRight({ ...corrections, joined: [...(corrections.joined ?? []), points] });
  };

  return (
    <>
      <PlaceBar title={name} trail={<Trail set={ofSet} />}>
        <Box sx={{ flex: 1 }} />
        <CompareBar comparison={comparison} />
        {ofSet ? (
          <ApplyToSet set={ofSet.id} drawing={id} sheets={ofSet.sheets} disabled={!corrected || correcting.isLoading} />
        ) : (
          <Button
            variant="contained"
            disabled={keeping.isLoading || correcting.isLoading}
            onClick={() => void keepIt()}
          >
            {keptAs ? 'Save as another design' : 'Save as a design'}
          </Button>
        )}
      </PlaceBar>
      <Box sx={{ flex: 1, minHeight: 0, display: 'flex' }}>
        <Box sx={{ flex: 1, minWidth: 0, display: 'flex', flexDirection: 'column' }}>
          {solved.problem ? (
            <Box role="alert" sx={{ p: 6, color: 'error.main' }}>
              <Sign weight="error" /> {solved.problem.message}
            </Box>
          ) : (
            <ComparedPaper
              legacy={legacy}
              drawing={solved.drawing}
              panels={solved.layout.panels}
              unit={unit}
              name={name}
              report={report}
              comparison={comparison}
              picked={picked}
              marked={marked}
              onPick={setPicked}
              asked={asked}
              onAsk={(point) => setAsked(askedAt(legacy, report, point, NEAR))}
            />
          )}
          <OnItsSizes design={design} tried={tried} standard={standard} />
        </Box>
        <Box
          sx={{
            width: 372,
            flex: 'none',
            overflow: 'auto',
            bgcolor: 'background.paper',
            borderLeft: 1,
            borderColor: 'divider',
          }}
        >
          <Box component="section" aria-label="What was found" sx={{ p: 4, borderBottom: 1, borderColor: 'divider' }}>
            <Typography variant="h2" component="h2">
              {/* A size that was taken as drawn is called by its lengths. */}
              {sizeByExtent(report.sheet.name)
                ? `${report.sheet.name}, as drawn`
                : `${report.sheet.name}, ${formatLength(report.sheet.width, unit)} × ${formatLength(report.sheet.height, unit, true)}`}
            </Typography>
            <Typography sx={{ color: 'text.secondary', mt: 1 }}>
              {report.cells.length} cells, {report.texts.filter((text) => text.kind === 'caption').length} captions,{' '}
              {report.texts.filter((text) => text.kind === 'field').length} fields
              {report.tables.length > 0 ? `, ${report.tables.length} table${report.tables.length > 1 ? 's' : ''}` : ''}.
              One millimetre of paper is {Number(report.source.unitsPerPaperMm.toFixed(5))} drawing{' '}
              {report.source.unitsPerPaperMm === 1 ? 'unit' : 'units'}.
            </Typography>
            <SheetChoice
              report={report}
              busy={correcting.isLoading}
              onCorrect={(change) => void setRight(change.space === undefined ? { ...corrections, ...change } : change)}
            />
            <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 2, mt: 3 }}>
              <Button
                size="small"
                variant="outlined"
                disabled={picked.length < 2 || correcting.isLoading}
                onClick={joinPicked}
              >
                Make {picked.length < 2 ? 'cells' : picked.length} one{picked.length < 2 ? '' : ' cell'}
              </Button>
              <Button
                size="small"
                color="inherit"
                disabled={!corrected || correcting.isLoading}
                onClick={() => void setRight({})}
              >
                Undo all corrections
              </Button>
              <Typography sx={{ color: 'text.secondary' }}>
                {picked.length === 0
                  ? 'Click anything on the paper to see what became of it; cells with Shift, where a line has to go.'
                  : `${picked.length} ${picked.length === 1 ? 'cell' : 'cells'} chosen`}
              </Typography>
            </Box>
          </Box>
          {asked ? (
            <AskedThing asked={asked} report={report} standard={standard} parameters={parameters} unit={unit} />
          ) : null}
          <Places places={places} busy={correcting.isLoading} onCorrect={(next) => void setRight(next)} />
          <Differences report={report} notShown={conversion.notShown} marked={marked} onMark={setMarked} />
          <Proposals id={id} proposals={report.proposals} />
          <Teaching report={report} corrections={corrections} parameters={parameters} />
          <FoundFields
            report={report}
            parameters={parameters}
            busy={correcting.isLoading}
            onCorrect={(text, correction) =>
              void setRight({ ...corrections, texts: { ...corrections.texts, [text]: correction } })
            }
          />
          <FilledRows report={report} />
          <OldPictures
            report={report}
            corrections={corrections}
            unit={unit}
            busy={correcting.isLoading}
            onCorrect={(change) => void setRight({ ...corrections, ...change })}
          />
          <LetteringAndPens
            report={report}
            standard={standard}
            corrections={corrections}
            busy={correcting.isLoading}
            onCorrect={(roles) => void setRight({ ...corrections, roles })}
          />
          <Layers
            report={report}
            corrections={corrections}
            busy={correcting.isLoading}
            onCorrect={(layers) => void setRight({ ...corrections, layers })}
          />
          <Decisions
            report={report}
            unit={unit}
            asDrawn={corrections.asDrawn === true}
            marked={marked}
            onMark={setMarked}
            busy={correcting.isLoading}
            onAsDrawn={(asDrawn) => void setRight({ ...corrections, asDrawn })}
            onReach={(reach) => void setRight({ ...corrections, reach })}
          />
        </Box>
      </Box>
    </>
  );
}
