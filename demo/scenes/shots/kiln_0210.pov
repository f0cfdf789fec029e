#include "kiln.inc"
Tabletop(T_Dusk, W_Smoked, 1.1, 1)
object { Pot(K_Dish) Glazed(P_Celadon, 0.02) scale 1.1 translate <0.2,0,-0.2> }
Subject(K_Dish, <0.2,0,-0.2>, 1.1)
Photograph(<0,4.0,-10>, <0,0.7,0>, 32, 0.4, 0)
