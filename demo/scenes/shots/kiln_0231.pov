#include "kiln.inc"
Estuary(-1)
Posts(5, 14, 6, 7)
union { #for (I,0,7) box { <-6+I*1.6,-0.1,2>, <-6+I*1.6+1.56,0.08,9> } #end Wood(W_Ash*0.8,1) translate y*0.6 }
object { Pot(K_Moon) Glazed(P_Celadon, 0.02) scale 1.1 translate <-1.6,0.68,4.5> }
object { Pot(K_Bowl) Matt(P_Russet) scale 0.7 translate <0.9,0.68,3.6> }
Subject(K_Moon, <-1.6,0.68,4.5>, 1.1)
Photograph(<0,3.4,-8>, <0,2.2,4>, 44, -6.0, 0)
