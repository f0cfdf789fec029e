#include "kiln.inc"
Workshop()
SubjectBox(<-2,0,0>, <2,6.1,0>)
Photograph(<-3,3,-26>, <-1,9,0>, 62, 0.7, 0)
