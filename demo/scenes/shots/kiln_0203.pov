#include "kiln.inc"
Tabletop(T_Oat, W_Oak, 1.0, 1)
object { Pot(K_Bowl) Matt(P_Clay) scale 1.15 translate <-0.9,0,0> }
Subject(K_Bowl, <-0.9,0,0>, 1.15)
Photograph(<0,3.4,-10>, <0,1.2,0>, 32, 0, 0)
