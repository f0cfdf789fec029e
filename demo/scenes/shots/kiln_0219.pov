#include "kiln.inc"
Tabletop(T_Oat, W_Oak, 1.05, 1)
object { Pot(K_Vase) Glazed(P_Celadon, 0.02) scale 1.1 translate <-0.5,0,0.4> }
object { Pot(K_Vase) Matt(P_Russet) translate <2.6,0,2.6> }
Subject(K_Vase, <-0.5,0,0.4>, 1.1)
Photograph(<0.3,4.2,-9>, <0.3,3.0,0>, 20, 0, 0.22)
