#include "kiln.inc"
Tabletop(T_Plaster, W_Smoked, 1.05, 1)
object { Pot(K_Vase) Glazed(P_Cobalt, 0.02) scale 0.9 translate <-0.8,0,0.4> }
object { Pot(K_Bowl) Matt(P_Clay) scale 0.85 translate <1.9,0,0> }
Subject(K_Vase, <-0.8,0,0.4>, 0.9)
Photograph(<0.4,2.9,-12>, <0.4,1.4,0>, 34, 0, 0)
