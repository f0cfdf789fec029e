#include "kiln.inc"
Tabletop(T_Plaster, W_Ash, 1.0, 1)
object { Pot(K_Beaker) Glazed(P_Chalk, 0.02) scale 0.95 translate <-2.6,0,0> }
object { Pot(K_Beaker) Glazed(P_Celadon, 0.02) scale 0.95 translate <-1.3,0,-0.1> }
object { Pot(K_Beaker) Glazed(P_Teal, 0.02) scale 0.95 translate <0,0,0.05> }
object { Pot(K_Beaker) Glazed(P_Cobalt, 0.02) scale 0.95 translate <1.3,0,-0.05> }
object { Pot(K_Beaker) Glazed(P_Iron, 0.02) scale 0.95 translate <2.6,0,0> }
Subject(K_Beaker, <0,0,0.05>, 0.95)
Photograph(<0,2.2,-11>, <0,0.9,0>, 33, 0.5, 0)
