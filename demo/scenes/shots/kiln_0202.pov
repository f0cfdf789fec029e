#include "kiln.inc"
Tabletop(T_Plaster, W_Ash, 0.98, 1)
object { Pot(K_Moon) Glazed(P_Chalk, 0.02) translate <0.15,0,0.3> }
Subject(K_Moon, <0.15,0,0.3>, 1)
Photograph(<0,2.7,-11>, <0,1.7,0>, 31, 1.2, 0)
