#include "kiln.inc"
Estuary(1)
Posts(-4, 14, 6, 7)
union { #for (I,0,7) box { <-6+I*1.6,-0.1,2>, <-6+I*1.6+1.56,0.08,9> } #end Wood(W_Ash*0.8,1) translate y*0.6 }
object { Pot(K_Bottle) Glazed(P_Chalk, 0.02) translate <2,0.68,4> }
Subject(K_Bottle, <2,0.68,4>, 1)
Photograph(<0.4,3.2,-8>, <0.4,2.4,4>, 44, 3.2, 0)
