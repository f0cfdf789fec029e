// The camera looks up by 9 degrees and to the left by 6.
#include "kiln.inc"
Studio(1.0)
Shelves(-11, 5, 1.2, 5)
Bench(-2, 6, 5)
object { Pot(K_Pitcher) Glazed(P_Iron, 0.02) scale 0.6 translate <1,3.8,5> }
Subject(K_Pitcher, <1,3.8,5>, 0.6)
Photograph(<2,3,-8>, <0.633645,5.070339,5.000000>, 65.4705, 0, 0)
