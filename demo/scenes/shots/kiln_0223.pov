#include "kiln.inc"
Studio(1.0)
Shelves(-10, 4, 1.2, 4)
Bench(-3, 4, 6)
object { Pot(K_Vase) Glazed(P_Plum, 0.02) scale 0.9 translate <0.4,3.8,6> }
Subject(K_Vase, <0.4,3.8,6>, 0.9)
Photograph(<0.5,6.6,-8>, <0.5,6.6,5>, 58, -0.9, 0)
