export * from './parameter';
export * from './catalogue';
export * from './textPattern';
export * from './valueProblem';
