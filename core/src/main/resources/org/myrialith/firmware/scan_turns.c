      "lds r24, %[turns]\n\t"
      "inc r24\n\t"
      "sts %[turns], r24\n\t"
