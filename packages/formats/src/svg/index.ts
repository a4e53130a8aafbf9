export * from './svgWriter';
