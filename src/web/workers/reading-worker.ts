import { expose } from 'comlink';
import { readZip } from '../../core/draft/index.ts';
import { readIncoming } from '../../core/formats/index.ts';

const LIMITS = { files: 20_000, bytes: 1_500_000_000 };

const nextId = () => crypto.randomUUID();

const api = {
  read: (bytes: ArrayBuffer, name: string) => readIncoming(new Uint8Array(bytes), name, nextId),
  unzip: (bytes: ArrayBuffer) => readZip(new Uint8Array(bytes), LIMITS),
};

export type ReadingApi = typeof api;
expose(api);
