#include "kiln.inc"
Tabletop(T_Oat, W_Ash, 1.0, 1)
object { Pot(K_Vase) Matt(P_Russet) scale 0.92 translate <1.9,0,0.2> }
Subject(K_Vase, <1.9,0,0.2>, 0.92)
Photograph(<0,2.9,-12>, <0,1.5,0>, 35, -1.4, 0)
