#include "kiln.inc"
Tabletop(T_Plaster, W_Oak, 1.0, 1)
object { Pot(K_Bottle) Glazed(P_Cobalt, 0.02) translate <-0.4,0,0.5> }
object { Pot(K_Bowl) Matt(P_Clay) scale 0.55 translate <1.1,0,-0.7> }
Subject(K_Bottle, <-0.4,0,0.5>, 1)
Photograph(<0.2,2.6,-12>, <0.2,2.0,0>, 33, -0.8, 0)
