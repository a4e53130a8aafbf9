import './app/fonts.css';
import { askAhead } from './app/ahead';

askAhead(window.location.pathname);
void import('./app/start');
