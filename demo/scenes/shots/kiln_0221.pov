#include "kiln.inc"
Studio(1.0)
Shelves(-10, 4, 1.2, 4)
Bench(-6, 4, 5)
object { Pot(K_Moon) Glazed(P_Chalk, 0.02) scale 0.8 translate <-1,3.8,5> }
object { Pot(K_Jug) Glazed(P_Celadon, 0.02) scale 0.7 translate <1.6,3.8,5> }
Wheel(<7,0,4>)
Subject(K_Moon, <-1,3.8,5>, 0.8)
Photograph(<0,6.2,-11>, <0,6.2,5>, 62, 0, 0)
