import SvgIcon from '@mui/material/SvgIcon';
import type { SvgIconProps } from '@mui/material/SvgIcon';

/** Line icons of our own, on a grid of 24 with lines of 1.6. */
function line(path: string) {
  return function LineIcon(props: SvgIconProps) {
    return (
      <SvgIcon viewBox="0 0 24 24" {...props}>
        <path
          d={path}
          fill="none"
          stroke="currentColor"
          strokeWidth="1.6"
          strokeLinecap="round"
          strokeLinejoin="round"
        />
      </SvgIcon>
    );
  };
}

export const DeskIcon = line('M3 9h18M5 9v10M19 9v10M8 9V6h8v3M8 13h5');
export const StandardIcon = line('M4 4v16h16M8 20v-3M12 20v-5M16 20v-3M4 16h3M4 12h5M4 8h3');
export const DesignsIcon = line('M3 5h18v14H3zM15 5v14M15 12h6');
export const IntakeIcon = line('M12 3v10M8 9l4 4 4-4M4 15v5h16v-5');
export const ProjectsIcon = line('M4 7h12v13H4zM8 7V4h12v13h-4M7 16h6');
export const OutputIcon = line('M7 9V4h10v5M5 9h14v8h-3M5 17h3M8 14h8v6H8z');
