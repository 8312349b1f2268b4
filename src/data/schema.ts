/** All tables, for whoever reads or writes them. */
export * from './class-schema';
export * from './hand-in-schema';
export * from './sign-in-schema';
export * from './file-schema';
export * from './reference-schema';
