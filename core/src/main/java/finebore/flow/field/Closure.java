package finebore.flow.field;

/** What turbulence does to the mean flow: eddy viscosity, and the drag of walls. */
interface Closure {

  /** Brings the stream's eddy viscosity and wall drag up to date with its speeds. */
  void update(Stream stream);

  /** Lets walls drag as in smooth flow: by viscosity over distance. */
  static void plainWalls(Stream stream) {
    for (int k = 0; k < stream.mesh.edges; k++) {
      int c = stream.mesh.edgeCell[k];
      stream.wallViscosity[k] = stream.viscosity + stream.eddy[c];
    }
  }
}
