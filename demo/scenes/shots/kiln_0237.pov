// The camera looks up by 12 degrees and to the left by 0.
#include "kiln.inc"
Studio(1.0)
Shelves(-11, 5, 1.2, 5)
Wheel(<-3,0,4>)
object { Pot(K_Bowl) Matt(P_Clay) scale 0.6 translate <-3,2.58,4> }
Subject(K_Bowl, <-3,2.58,4>, 0.6)
Photograph(<0,3.4,-9>, <0.000000,6.163235,4.000000>, 65.4705, 0, 0)
