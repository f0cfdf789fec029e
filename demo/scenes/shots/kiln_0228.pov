#include "kiln.inc"
Workshop()
SubjectBox(<-2,0,0>, <2,6.1,0>)
Photograph(<-6,3,-26>, <-1,7.5,0>, 66, -2.2, 0)
