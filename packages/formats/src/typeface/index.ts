export * from './fontkitTypeface';
