#include "kiln.inc"
Studio(1.1)
Shelves(-7.5, 3, 1.2, 4)
Bench(-3, 3, 7)
object { Pot(K_Moon) Glazed(P_Cobalt, 0.02) scale 0.9 translate <0,3.8,7> }
Subject(K_Moon, <0,3.8,7>, 0.9)
Photograph(<-0.2,5.4,-4>, <-0.2,5.4,5>, 50, 0, 0)
