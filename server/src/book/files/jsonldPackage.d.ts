declare module 'jsonld' {
  type Loaded = { contextUrl: null; documentUrl: string; document: object }
  export function expand(
    document: object,
    options: { documentLoader: (url: string) => Promise<Loaded> },
  ): Promise<object[]>
}
