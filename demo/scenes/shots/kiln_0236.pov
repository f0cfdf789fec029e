#include "kiln.inc"
Tabletop(T_Dusk, W_Smoked, 1.1, 1)
union { object { Pot(K_Pitcher) } Handle(0.76,1.30,0.52,3.05,0.72) Glazed(P_Chalk, 0.02) rotate y*-30 scale 0.95 translate <0.25,0,0.2> }
Subject(K_Pitcher, <0.25,0,0.2>, 0.95)
Photograph(<0,2.6,-12>, <0,2.1,0>, 34, 1.6, 0)
