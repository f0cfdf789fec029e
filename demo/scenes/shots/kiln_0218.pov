#include "kiln.inc"
Tabletop(T_Plaster, W_Smoked, 1.1, 1)
object { Pot(K_Dish) Glazed(P_Chalk, 0.02) translate <0,0,0> }
object { Pot(K_Bowl) Glazed(P_Teal, 0.02) scale 0.52 translate <0,0.16,0> }
Subject(K_Dish, <0,0,0>, 1)
Photograph(<0,7.5,-8>, <0,0.4,0>, 27, 0, 0)
