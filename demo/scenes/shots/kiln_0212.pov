#include "kiln.inc"
Tabletop(T_Plaster, W_Oak, 1.0, 1)
union { object { Pot(K_Jug) } Handle(0.84,0.85,0.55,2.30,0.72) Dipped(P_Celadon, 0.9) rotate y*18 translate <0.3,0,0.2> }
object { Pot(K_Beaker) Dipped(P_Celadon, 0.35) scale 0.8 translate <-1.7,0,-0.3> }
Subject(K_Jug, <0.3,0,0.2>, 1)
Photograph(<0.25,2.8,-11.5>, <0.25,1.4,0>, 33, 0.9, 0)
