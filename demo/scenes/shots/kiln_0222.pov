#include "kiln.inc"
Studio(1.05)
Shelves(-10, 4, 1.2, 4)
Bench(-7, 1, 6)
object { Pot(K_Bottle) Glazed(P_Cobalt, 0.02) scale 0.75 translate <-3,3.8,6> }
object { Pot(K_Bowl) Matt(P_Russet) scale 0.6 translate <-1,3.8,5.4> }
Wheel(<5,0,5>)
Subject(K_Bottle, <-3,3.8,6>, 0.75)
Photograph(<-1,6,-7>, <-1,6,5>, 64, 1.8, 0)
