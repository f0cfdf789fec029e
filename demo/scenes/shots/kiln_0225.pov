#declare Barrel = 0.055;
#include "kiln.inc"
Studio(1.0)
Shelves(-12.5, 5, 1.2, 4)
Bench(-8, 8, 4)
object { Pot(K_Bowl) Matt(P_Clay) scale 0.75 translate <-5,3.8,4> }
object { Pot(K_Bowl) Matt(P_Clay) scale 0.75 translate <-2.5,3.8,4> }
object { Pot(K_Bowl) Matt(P_Clay) scale 0.75 translate <0,3.8,4> }
object { Pot(K_Bowl) Matt(P_Clay) scale 0.75 translate <2.5,3.8,4> }
object { Pot(K_Bowl) Matt(P_Russet) scale 0.75 translate <5,3.8,4> }
Subject(K_Bowl, <0,3.8,4>, 0.75)
Photograph(<0,6.5,-8>, <0,6.5,4>, 74, -0.7, 0)
