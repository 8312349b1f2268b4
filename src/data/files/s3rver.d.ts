/** The emulator comes without types; this is what the tests ask of it. */
declare module 's3rver' {
  export default class S3rver {
    constructor(options: {
      port: number;
      address?: string;
      silent: boolean;
      directory: string;
      configureBuckets: { name: string }[];
    });
    run(): Promise<{ port: number }>;
    close(): Promise<void>;
  }
}
