#include "kiln.inc"
Tabletop(T_Oat, W_Ash, 1.0, 1)
object { Pot(K_Bottle) Glazed(P_Chalk, 0.02) scale 0.9 translate <-3.4,0,0.7> }
object { Pot(K_Moon) Glazed(P_Iron, 0.02) scale 0.85 translate <-1.6,0,0.1> }
object { Pot(K_Beaker) Glazed(P_Celadon, 0.02) scale 0.95 translate <0.1,0,-0.5> }
union { object { Pot(K_Jug) } Handle(0.84,0.85,0.55,2.30,0.72) Matt(P_Russet) rotate y*15 scale 0.95 translate <1.7,0,0.3> }
object { Pot(K_Bowl) Glazed(P_Chalk, 0.02) scale 0.75 translate <3.8,0,0> }
Subject(K_Moon, <-1.6,0,0.1>, 0.85)
Photograph(<0.2,3.0,-14>, <0.2,1.4,0>, 39, 0, 0)
