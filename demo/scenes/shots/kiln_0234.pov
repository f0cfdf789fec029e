#include "kiln.inc"
Tabletop(T_Dusk, W_Oak, 1.05, 1)
object { Pot(K_Bowl) Glazed(P_Chalk, 0.02) translate <0,0,0> }
object { Pot(K_Bowl) Matt(P_Clay) scale 0.92 translate <0.03,0.55,0> }
object { Pot(K_Bowl) Glazed(P_Celadon, 0.02) scale 0.84 translate <-0.02,1.06,0> }
object { Pot(K_Bowl) Matt(P_Ash) scale 0.76 translate <0.02,1.52,0> }
object { Pot(K_Bowl) Glazed(P_Chalk, 0.02) scale 0.68 translate <0,1.94,0> }
Subject(K_Bowl, <0,0,0>, 1)
Photograph(<0,3.2,-11>, <0,1.6,0>, 32, 0, 0)
