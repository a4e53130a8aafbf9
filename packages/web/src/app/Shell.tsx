import { Suspense } from 'react';
import { NavLink, Outlet, useLocation, useNavigate, useNavigation } from 'react-router';
import Box from '@mui/material/Box';
import { keyframes, styled, useColorScheme } from '@mui/material/styles';
import Typography from '@mui/material/Typography';
import { hasUnsaved } from '../places/settingOut/settingOutSlice';
import { standardUnsaved } from '../places/standard/standardSlice';
import { useCommands } from './commands';
import { ErrorBoundary } from './ErrorBoundary';
import { DesignsIcon, DeskIcon, IntakeIcon, OutputIcon, ProjectsIcon, StandardIcon } from './icons';
import { Loading } from './states';
import { useAppSelector } from './store';
import { SIGN } from './inks';
import { useUnsavedInput } from './unsavedInput';

/** The places, in the order of the job. */
const PLACES = [
  { path: '/desk', name: 'Desk', icon: DeskIcon },
  { path: '/standard', name: 'Standard', icon: StandardIcon },
  { path: '/designs', name: 'Designs', icon: DesignsIcon },
  { path: '/intake', name: 'Intake', icon: IntakeIcon },
  { path: '/projects', name: 'Projects', icon: ProjectsIcon },
  { path: '/output', name: 'Output', icon: OutputIcon },
] as const;

const RailLink = styled(NavLink)(({ theme }) => ({
  display: 'flex',
  flexDirection: 'column',
  alignItems: 'center',
  gap: 5,
  padding: '9px 0 8px',
  fontSize: '0.6875rem',
  textDecoration: 'none',
  color: theme.vars?.palette.office.railText,
  borderLeft: '3px solid transparent',
  borderRight: '3px solid transparent',
  '&:hover': { color: theme.palette.common.white },
  '&:focus-visible': { outline: `2px solid ${theme.vars?.palette.office.here}`, outlineOffset: -3 },
  '&.active': {
    color: theme.palette.common.white,
    background: theme.vars?.palette.office.railActive,
    borderLeftColor: theme.vars?.palette.office.here,
  },
}));

const SkipLink = styled('a')(({ theme }) => ({
  position: 'absolute',
  left: -9999,
  '&:focus': {
    left: 8,
    top: 8,
    zIndex: 2000,
    background: theme.vars?.palette.office.sheet,
    color: theme.vars?.palette.office.sheetInk,
    padding: 8,
  },
}));

const grows = keyframes({ from: { transform: 'scaleX(0)' }, to: { transform: 'scaleX(0.9)' } });

/** Drawn along the upper edge while the next place is loaded; what comes at once comes without it. */
const OnTheWay = styled('div')(({ theme }) => ({
  position: 'absolute',
  zIndex: 1,
  insetInline: 0,
  height: 3,
  background: theme.vars?.palette.office.here,
  transformOrigin: 'left',
  animation: `${grows} 4s 200ms ease-out both`,
}));

/** The rail of places and, beside it, the place one is in. */
export function Shell() {
  useUnsavedInput(useAppSelector((root) => hasUnsaved(root) || standardUnsaved(root)));
  const { pathname } = useLocation();
  const navigate = useNavigate();
  const onTheWay = useNavigation().state === 'loading';
  const { mode, systemMode, setMode } = useColorScheme();
  const dark = (mode === 'system' ? systemMode : mode) === 'dark';
  const switchScheme = (): void => setMode(dark ? 'light' : 'dark');
  useCommands([
    ...PLACES.map((place, i) => ({
      name: `Go to ${place.name}`,
      keys: `Alt+${i + 1}`,
      run: () => void navigate(place.path),
    })),
    { name: dark ? 'Use the light scheme' : 'Use the dark scheme', keys: 'Alt+D', run: switchScheme },
  ]);
  return (
    <Box sx={{ display: 'flex', height: '100vh', bgcolor: 'background.default' }}>
      <SkipLink href="#place">Skip to the content</SkipLink>
      <Box
        component="nav"
        aria-label="Places"
        sx={{ width: 72, flex: 'none', bgcolor: 'office.rail', display: 'flex', flexDirection: 'column', gap: '1px' }}
      >
        <Box sx={{ height: 60, display: 'grid', placeItems: 'center' }} aria-hidden>
          <svg width="30" height="24" viewBox="0 0 30 24">
            <path d="M1.5 1.5h27v21h-27z" fill="none" stroke={SIGN.sheet} strokeWidth="2" />
            <path d="M18 13h10.5v9.5H18z" fill="none" stroke={SIGN.block} strokeWidth="2" />
          </svg>
        </Box>
        {PLACES.map(({ path, name, icon: Icon }) => (
          <RailLink key={path} to={path}>
            <Icon sx={{ fontSize: 20 }} aria-hidden />
            {name}
          </RailLink>
        ))}
        <Box sx={{ flex: 1 }} />
        <Box
          component="button"
          type="button"
          onClick={switchScheme}
          sx={{
            all: 'unset',
            cursor: 'pointer',
            textAlign: 'center',
            py: 3,
            mb: 2,
            fontSize: '0.6875rem',
            color: 'office.railText',
            '&:focus-visible': { outline: '2px solid', outlineColor: 'office.here', outlineOffset: -3 },
          }}
        >
          {dark ? 'Light' : 'Dark'}
        </Box>
      </Box>
      <Box
        component="main"
        id="place"
        tabIndex={-1}
        aria-busy={onTheWay}
        sx={{ flex: 1, minWidth: 0, display: 'flex', flexDirection: 'column', outline: 'none', position: 'relative' }}
      >
        {onTheWay ? <OnTheWay role="status" aria-label="Loading" /> : null}
        <ErrorBoundary resetKey={pathname}>
          <Suspense fallback={<Loading what="this place" />}>
            <Outlet />
          </Suspense>
        </ErrorBoundary>
      </Box>
    </Box>
  );
}

/** The bar at the top of a place: where one is, what there is to know of it, what can be done. */
export function PlaceBar({
  title,
  trail,
  children,
}: {
  title: string;
  trail?: React.ReactNode;
  children?: React.ReactNode;
}) {
  return (
    <Box
      component="header"
      sx={{
        minHeight: 52,
        flex: 'none',
        px: 4.5,
        display: 'flex',
        alignItems: 'center',
        gap: 3,
        bgcolor: 'background.paper',
        borderBottom: 1,
        borderColor: 'divider',
      }}
    >
      {trail}
      <Typography variant="h1" component="h1" noWrap title={title} sx={{ minWidth: 60 }}>
        {title}
      </Typography>
      {children}
    </Box>
  );
}

export function TrailLink({ to, children }: { to: string; children: React.ReactNode }) {
  return (
    <Typography sx={{ color: 'text.secondary', whiteSpace: 'nowrap', '& a': { color: 'inherit' } }}>
      <NavLink to={to}>{children}</NavLink>
      <Box component="span" aria-hidden sx={{ pl: 2.5 }}>
        /
      </Box>
    </Typography>
  );
}
