#include "kiln.inc"
Tabletop(T_Sage, W_Oak, 1.0, 1)
object { Pot(K_Moon) Glazed(P_Plum, 0.02) translate <-1.4,0,0.3> }
object { Pot(K_Beaker) Glazed(P_Chalk, 0.02) scale 0.9 translate <1.3,0,-0.5> }
object { Pot(K_Beaker) Glazed(P_Chalk, 0.02) scale 0.9 translate <2.3,0,0.1> }
Subject(K_Moon, <-1.4,0,0.3>, 1)
Photograph(<0.2,2.9,-12>, <0.2,1.3,0>, 34, 0, 0)
