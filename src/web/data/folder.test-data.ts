/** A folder that lives in memory, as far as copies use one of the browser's own. */
export class MemoryFolder {
  private readonly folders = new Map<string, MemoryFolder>();
  private readonly files = new Map<string, Blob>();

  async getDirectoryHandle(name: string): Promise<MemoryFolder> {
    const known = this.folders.get(name) ?? new MemoryFolder();
    this.folders.set(name, known);
    return known;
  }

  async getFileHandle(name: string, { create = false } = {}) {
    if (!create && !this.files.has(name)) throw new DOMException('There is no such file.', 'NotFoundError');
    return {
      getFile: async () => this.files.get(name) as Blob,
      createWritable: async () => {
        const parts: (Blob | string)[] = [];
        return {
          write: async (part: Blob | string) => {
            parts.push(part);
          },
          abort: async () => {},
          close: async () => {
            this.files.set(name, new Blob(parts));
          },
        };
      },
    };
  }

  async removeEntry(name: string): Promise<void> {
    this.files.delete(name);
  }

  async *keys(): AsyncGenerator<string> {
    yield* [...this.folders.keys(), ...this.files.keys()];
  }
}
