#include "kiln.inc"
Tabletop(T_Oat, W_Smoked, 1.05, -1)
union { object { Pot(K_Pitcher) } Handle(0.76,1.30,0.52,3.05,0.72) Glazed(P_Teal, 0.02) rotate y*30 scale 0.85 translate <-1.6,0,0.5> }
union { object { Pot(K_Beaker) } Handle(0.52,0.30,0.54,0.92,0.36) Glazed(P_Teal, 0.02) rotate y*-20 scale 0.8 translate <0.5,0,-0.4> }
union { object { Pot(K_Beaker) } Handle(0.52,0.30,0.54,0.92,0.36) Glazed(P_Teal, 0.02) rotate y*35 scale 0.8 translate <2.0,0,0.1> }
Subject(K_Pitcher, <-1.6,0,0.5>, 0.85)
Photograph(<0,2.9,-12>, <0,1.45,0>, 35, -0.4, 0)
