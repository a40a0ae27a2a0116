declare module 'csv-spectrum' {
  interface SpectrumFile {
    readonly csv: Uint8Array;
    readonly json: Uint8Array;
    readonly name: string;
  }
  export default function load(done: (error: Error | null, files: SpectrumFile[]) => void): void;
}
