/** All tables, for whoever reads or writes them. */
export * from './class';
export * from './hand-in';
export * from './critique';
export * from './sign-in';
export * from './file';
export * from './reference';
export * from './door';
export * from './opinion';
export * from './sitting';
export * from './figures';
export * from './allowance';
export * from './colleague';
export * from './grade';
export * from './post';
