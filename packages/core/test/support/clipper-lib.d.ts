declare module 'clipper-lib' {
  namespace ClipperLib {
    type Path = { X: number; Y: number }[];
    class Clipper {
      static Area(path: Path): number;
      AddPath(path: Path, type: number, closed: boolean): boolean;
      AddPaths(paths: Path[], type: number, closed: boolean): boolean;
      Execute(type: number, solution: Path[], subject: number, clip: number): boolean;
    }
    const PolyType: { ptSubject: number; ptClip: number };
    const ClipType: { ctUnion: number; ctIntersection: number };
    const PolyFillType: { pftNonZero: number };
  }
  export default ClipperLib;
}
