#include "kiln.inc"
Tabletop(T_Sage, W_Ash, 1.0, -1)
object { Pot(K_Vase) Glazed(P_Chalk, 0.02) scale 0.85 translate <-2.6,0,0.9> }
object { Pot(K_Moon) Glazed(P_Chalk, 0.02) translate <0.2,0,0.2> }
object { Pot(K_Bowl) Matt(P_Clay) scale 0.7 translate <2.5,0,-0.4> }
Subject(K_Moon, <0.2,0,0.2>, 1)
Photograph(<0.1,2.8,-12.5>, <0.1,1.4,0>, 36, -0.6, 0)
