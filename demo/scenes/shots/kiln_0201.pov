#include "kiln.inc"
Tabletop(T_Plaster, W_Oak, 1.0, 1)
object { Pot(K_Vase) Glazed(P_Teal, 0.02) translate <-1.3,0,0.5> }
object { Pot(K_Bowl) Matt(P_Russet) scale 0.85 translate <1.7,0,-0.2> }
object { Pot(K_Bowl) Glazed(P_Chalk, 0.02) scale 0.42 translate <0.5,0,-1.1> }
Subject(K_Vase, <-1.3,0,0.5>, 1)
Photograph(<0.3,3.0,-12>, <0.3,1.4,0>, 33, 0, 0)
