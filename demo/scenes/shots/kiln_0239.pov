// The camera looks down by 8 degrees and to the right by 10.
#include "kiln.inc"
Studio(1.0)
Shelves(-11, 5, 1.2, 4)
Bench(-2, 7, 6)
object { Pot(K_Beaker) Glazed(P_Chalk, 0.02) scale 0.7 translate <1,3.8,5.6> }
Subject(K_Beaker, <1,3.8,5.6>, 0.7)
Photograph(<-3,9.5,-9>, <-0.707749,7.644784,4.000000>, 65.4705, 0, 0)
