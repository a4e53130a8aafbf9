export * from './letteringImpact';
export * from './parameterUse';
