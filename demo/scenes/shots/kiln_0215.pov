#include "kiln.inc"
Tabletop(T_Dusk, W_Oak, 1.05, 1)
union { object { Pot(K_Pitcher) } Handle(0.76,1.30,0.52,3.05,0.72) Matt(P_Ash) rotate y*20 translate <-0.1,0,0.2> }
Subject(K_Pitcher, <-0.1,0,0.2>, 1)
Photograph(<0,2.9,-12>, <0.1,2.0,0>, 33, 0, 0)
