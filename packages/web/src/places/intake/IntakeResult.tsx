import { useMemo, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Slider from '@mui/material/Slider';
import Typography from '@mui/material/Typography';
import { useSnackbar } from 'notistack';
import type { ConversionRecord } from '@mendrel/contract';
import type { Corrections, OfficeStandard } from '@mendrel/core';
import { contains, formatLength, parametersOf } from '@mendrel/core';
import { api, errorOf } from '../../app/api';
import { PlaceBar, TrailLink } from '../../app/Shell';
import { Failed, Loading } from '../../app/states';
import { useTypefaces } from '../../app/typefaces';
import { Linework } from '../../paper/Linework';
import { Paper } from '../../paper/Paper';
import { solveFor } from '../settingOut/useSolved';
import { FoundFields } from './FoundFields';
import { Decisions } from './Decisions';
import { SheetChoice } from './SheetChoice';

/** A legacy drawing and what was made of it, one over the other. */
export default function IntakeResult() {
  const { id = '' } = useParams();
  const { currentData: data, error, refetch } = api.useConversionQuery(id);
  const drawings = api.useLegacyDrawingsQuery();
  const standards = api.useStandardQuery();
  const newest = standards.data?.revisions[0]?.number ?? null;
  const standard = api.useStandardAtQuery(newest, { skip: !standards.data });
  const drawing = drawings.data?.find((each) => each.id === id);
  if (error) {
    return (
      <>
        <PlaceBar title={drawing?.name ?? 'Legacy drawing'} trail={<TrailLink to="/intake">Intake</TrailLink>} />
        <Failed error={error} retry={() => void refetch()} />
      </>
    );
  }
  if (!data || !standard.currentData) return <Loading what="and reading the drawing" />;
  return (
    <Result
      key={id}
      id={id}
      name={drawing?.name ?? 'Legacy drawing'}
      conversion={data}
      standard={standard.currentData.standard}
      keptAs={drawing?.designId ?? null}
    />
  );
}

interface ResultProps {
  id: string;
  name: string;
  conversion: ConversionRecord;
  standard: OfficeStandard;
  keptAs: string | null;
}

function Result({ id, name, conversion, standard, keptAs }: ResultProps) {
  const typefaces = useTypefaces();
  const [picked, setPicked] = useState<readonly string[]>([]);
  const [correct, correcting] = api.useCorrectIntakeMutation();
  const [balance, setBalance] = useState(70);
  const [keep, keeping] = api.useKeepLegacyMutation();
  const navigate = useNavigate();
  const { enqueueSnackbar } = useSnackbar();
  const { report, values, legacy, design, corrections } = conversion;
  const parameters = useMemo(() => [...parametersOf(standard).values()], [standard]);
  const corrected = Object.keys(corrections).length > 0;
  const solved = useMemo(
    () => solveFor(design, report.sheet.name, values, standard, typefaces),
    [design, report, values, standard, typefaces],
  );
  const unit = design.unit;

  const keepIt = async (): Promise<void> => {
    const result = await keep({ id, document: design });
    if (result.data) {
      enqueueSnackbar('Kept as a design', { variant: 'success' });
      void navigate(`/designs/${result.data.id}`);
    } else enqueueSnackbar(`Not kept: ${errorOf(result.error).message}`, { variant: 'error' });
  };

  const setRight = async (next: Corrections): Promise<void> => {
    setPicked([]);
    const result = await correct({ id, corrections: next });
    if (!result.data) enqueueSnackbar(`Not corrected: ${errorOf(result.error).message}`, { variant: 'error' });
  };
  const joinPicked = (): void => {
    const points = report.cells
      .filter((cell) => picked.includes(cell.id))
      .map((cell) => ({ x: cell.x + cell.width / 2, y: cell.y + cell.height / 2 }));
    void setRight({ ...corrections, joined: [...(corrections.joined ?? []), points] });
  };

  return (
    <>
      <PlaceBar title={name} trail={<TrailLink to="/intake">Intake</TrailLink>}>
        <Box sx={{ flex: 1 }} />
        <Typography id="balance" sx={{ color: 'text.secondary' }}>
          Legacy
        </Typography>
        <Slider
          aria-label="Legacy drawing to design"
          value={balance}
          onChange={(_event, next) => setBalance(next)}
          sx={{ width: 150 }}
          size="small"
          valueLabelDisplay="off"
        />
        <Typography sx={{ color: 'text.secondary' }}>Design</Typography>
        <Button variant="contained" disabled={keeping.isLoading || correcting.isLoading} onClick={() => void keepIt()}>
          {keptAs ? 'Keep as another design' : 'Keep as a design'}
        </Button>
      </PlaceBar>
      <Box sx={{ flex: 1, minHeight: 0, display: 'flex' }}>
        <Box sx={{ flex: 1, minWidth: 0, display: 'flex', flexDirection: 'column' }}>
          {solved.problem ? (
            <Box role="alert" sx={{ p: 6, color: 'error.main' }}>
              ▲ {solved.problem.message}
            </Box>
          ) : (
            <Paper
              drawing={solved.drawing}
              unit={unit}
              label={`${name} and the design made of it`}
              opacity={balance / 100}
              target={blockOf(solved.layout.panels, solved.drawing)}
              views={[{ name: 'Title block', rect: blockOf(solved.layout.panels, solved.drawing) }]}
              onPick={(point, add) => {
                const cell = report.cells.find((each) => contains(each, point))?.id;
                const others = add ? picked.filter((each) => each !== cell) : [];
                setPicked(cell === undefined || picked.includes(cell) ? others : [...others, cell]);
              }}
              over={() =>
                report.cells
                  .filter((cell) => picked.includes(cell.id))
                  .map((cell) => (
                    <rect
                      key={cell.id}
                      x={cell.x}
                      y={solved.drawing.height - cell.y - cell.height}
                      width={cell.width}
                      height={cell.height}
                      fill="#0f6f67"
                      fillOpacity={0.12}
                      stroke="#0f6f67"
                      strokeWidth={2}
                      vectorEffect="non-scaling-stroke"
                      pointerEvents="none"
                    />
                  ))
              }
              under={
                <Box component="g" sx={{ color: '#b3402a' }} opacity={1 - balance / 100}>
                  <Linework drawing={legacy} />
                </Box>
              }
            />
          )}
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
              {report.sheet.name}, {formatLength(report.sheet.width, unit)} ×{' '}
              {formatLength(report.sheet.height, unit, true)}
            </Typography>
            <Typography sx={{ color: 'text.secondary', mt: 1 }}>
              {report.cells.length} cells, {report.texts.filter((text) => text.kind === 'caption').length} captions,{' '}
              {report.texts.filter((text) => text.kind === 'field').length} fields
              {report.tables.length > 0 ? `, ${report.tables.length} table${report.tables.length > 1 ? 's' : ''}` : ''}.
              One millimetre of paper is {Number(report.source.unitsPerPaperMm.toFixed(5))} drawing{' '}
              {report.source.unitsPerPaperMm === 1 ? 'unit' : 'units'}.
            </Typography>
            <Typography sx={{ mt: 1, color: report.deviation.max <= 0.1 ? 'success.main' : 'warning.main' }}>
              {report.deviation.max <= 0.1 ? '●' : '◆'} Old and rebuilt lines lie {report.deviation.max.toFixed(3)} mm
              apart at most.
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
                  ? 'Click cells on the paper, with Shift for several, where a line has to go.'
                  : `${picked.length} ${picked.length === 1 ? 'cell' : 'cells'} chosen`}
              </Typography>
            </Box>
          </Box>
          <FoundFields
            report={report}
            parameters={parameters}
            busy={correcting.isLoading}
            onCorrect={(text, correction) =>
              void setRight({ ...corrections, texts: { ...corrections.texts, [text]: correction } })
            }
          />
          <Decisions report={report} />
        </Box>
      </Box>
    </>
  );
}

/** Around all panels, with some of what is beside them. */
function blockOf(
  panels: readonly { x: number; y: number; width: number; height: number }[],
  sheet: { width: number; height: number },
) {
  const first = panels[0];
  if (!first) return { x: 0, y: 0, ...sheet };
  const x0 = Math.min(...panels.map((each) => each.x));
  const y0 = Math.min(...panels.map((each) => each.y));
  const x1 = Math.max(...panels.map((each) => each.x + each.width));
  // Of a strip as high as the sheet, the lower half is where nearly all of the lettering stands.
  const y1 = Math.min(Math.max(...panels.map((each) => each.y + each.height)), y0 + sheet.height * 0.42);
  const room = Math.max(x1 - x0, y1 - y0) * 0.06;
  return { x: x0 - room, y: y0 - room, width: x1 - x0 + 2 * room, height: y1 - y0 + 2 * room };
}
