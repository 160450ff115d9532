const split = (text: string) => text.trim().split(/\s+/)

/** Invented people of varied origin; first and family names are joined at random. */
export const firstNames = split(`
  Perrin Odile Anselm Hester Bastian Iva Corin Maelis Tobin Yara Fenella Ruaridh Noor Jago Linnea Petros Sunniva Dilys
  Emeka Ottoline Kasimir Brona Teodor Amaya Ffion Lorcan Zdenka Ishaan Marit Calum Solveig Nadir Elowen Gaspard Mirela
  Keir Ayesha Benedek Tamsin Hamish Xenia Rafi Morag Lucjan Siobhan Davor Ingrid Olamide Wilf Clemence Anouk Rory Halina
  Tariq Eira Magnus Ximena Duncan Leocadie Idris Greta Farid Nuala Sander Aoife Mateus Brigid Joris Senna Ailsa Vikram Roos`)

export const familyNames = split(`
  Oakes Marchetaux Rook Quill Feld Calder Brightwater Nakagome Ferrand Oduya Strand Whelk Tervold Gunnhild Pascoe Vance
  Lindqvale Morrow Castellan Dubrovic Thrane Harrowby Achterberg Sefton Kilbride Ravn Tolland Escudera Wynstan Bexley
  Karim-Holt Penhallow Jorvik Sandoval-Rey Haldane Corrigall Mbeki-Stone Farrow Okonjo Vlasic Teague Lomond Ashgrove Brandt
  Nightingale Petrescu Sorley Drummore Vantongeren Easter Mulvey Castaing Larkin Rosewarne Iyengar Stoll Trewin Ulvang`)

export const crewNames = ['Torquil', 'Ailith', 'Ness', 'Captain Brannoch', 'Torquil', 'Ailith']

export const handleWords = split(`
  lowtide gannet saltmarsh pierwalker foghorn seaglass driftwood kelp lantern tideline heather skua puffin knot bosun
  oilskin harbourlight eddy shingle cormorant moorings stormglass rockpool windward`)
