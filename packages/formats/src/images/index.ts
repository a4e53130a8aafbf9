export * from './imageFile';
export * from './svgPicture';
