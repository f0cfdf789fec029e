#include "kiln.inc"
Tabletop(T_Sage, W_Ash, 1.0, -1)
union { object { Pot(K_Jug) } Handle(0.84,0.85,0.55,2.30,0.72) Glazed(P_Celadon, 0.02) rotate y*5 scale 1.15 translate <-0.5,0,0.2> }
Subject(K_Jug, <-0.5,0,0.2>, 1.15)
Photograph(<0.3,2.9,-9>, <0.3,1.8,0>, 24, 0.7, 0.2)
