#include "kiln.inc"
Tabletop(T_Sage, W_Ash, 1.0, -1)
union { object { Pot(K_Jug) } Handle(0.84,0.85,0.55,2.30,0.72) Glazed(P_Chalk, 0.02) rotate y*25 translate <-0.2,0,0.2> }
Subject(K_Jug, <-0.2,0,0.2>, 1)
Photograph(<0,2.6,-11>, <0.05,1.7,0>, 31, 0, 0)
