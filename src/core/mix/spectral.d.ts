declare module 'spectral.js';
