#include "kiln.inc"
Estuary(1)
Posts(-3, 16, 6, 7)
union { #for (I,0,7) box { <-6+I*1.6,-0.1,2>, <-6+I*1.6+1.56,0.08,9> } #end Wood(W_Ash*0.8,1) translate y*0.6 }
union { object { Pot(K_Pitcher) } Handle(0.76,1.30,0.52,3.05,0.72) Matt(P_Russet) rotate y*-20 scale 0.95 translate <0.6,0.68,4> }
Subject(K_Pitcher, <0.6,0.68,4>, 0.95)
Photograph(<0,3.4,-8>, <0,2.7,4>, 42, 0.4, 0)
