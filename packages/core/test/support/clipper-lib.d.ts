declare module 'clipper-lib' {
  namespace ClipperLib {
    type Path = { X: number; Y: number }[];
    class Clipper {
      static CleanPolygons(paths: Path[], within: number): Path[];
      static Area(path: Path): number;
      static Orientation(path: Path): boolean;
      AddPath(path: Path, type: number, closed: boolean): boolean;
      AddPaths(paths: Path[], type: number, closed: boolean): boolean;
      Execute(type: number, solution: Path[], subject: number, clip: number): boolean;
    }
    const PolyType: { ptSubject: number; ptClip: number };
    class ClipperOffset {
      constructor(miterLimit?: number, arcTolerance?: number);
      AddPath(path: Path, join: number, end: number): void;
      Execute(solution: Path[], delta: number): void;
    }
    const ClipType: { ctUnion: number; ctIntersection: number; ctDifference: number };
    class Paths extends Array<Path> {}
    const JoinType: { jtMiter: number };
    const EndType: { etClosedPolygon: number };
    const PolyFillType: { pftNonZero: number };
  }
  export default ClipperLib;
}
