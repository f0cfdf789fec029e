#declare Barrel = 0.045;
#include "kiln.inc"
Studio(1.0)
Shelves(-10, 4, 1.2, 4)
Wheel(<-3,0,4.5>)
object { Pot(K_Bowl) Matt(P_Clay) scale 0.6 translate <-3,2.58,4.5> }
Bench(1.5, 9, 6)
object { Pot(K_Pitcher) Glazed(P_Iron, 0.02) scale 0.6 translate <4,3.8,6> }
object { Pot(K_Beaker) Glazed(P_Chalk, 0.02) scale 0.7 translate <6,3.8,5.6> }
Subject(K_Bowl, <-3,2.58,4.5>, 0.6)
Photograph(<0,6,-8>, <0,6,5>, 72, 0, 0)
