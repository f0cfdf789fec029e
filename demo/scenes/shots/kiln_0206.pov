#include "kiln.inc"
Tabletop(T_Plaster, W_Oak, 0.95, 1)
object { Pot(K_Vase) Glazed(P_Teal, 0.02) scale 0.8 translate <0.7,0,0> }
Subject(K_Vase, <0.7,0,0>, 0.8)
Photograph(<0,2.8,-11.5>, <0,1.8,0>, 35, 2.1, 0)
