declare module 'clipper-lib' {
  namespace ClipperLib {
    type Path = { X: number; Y: number }[];
    class Clipper {
      static Area(path: Path): number;
      AddPaths(paths: Path[], type: number, closed: boolean): boolean;
      Execute(type: number, solution: Path[], subject: number, clip: number): boolean;
    }
    const PolyType: { ptSubject: number };
    const ClipType: { ctUnion: number };
    const PolyFillType: { pftNonZero: number };
  }
  export default ClipperLib;
}
