#include "kiln.inc"
Tabletop(T_Plaster, W_Ash, 1.0, -1)
object { Pot(K_Bottle) Glazed(P_Iron, 0.02) translate <0.3,0,0.2> }
object { Pot(K_Beaker) Glazed(P_Iron, 0.02) scale 0.7 translate <-0.9,0,-0.6> }
Subject(K_Bottle, <0.3,0,0.2>, 1)
Photograph(<0,2.8,-12>, <0,1.9,0>, 34, -1.1, 0)
