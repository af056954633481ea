/** Words of other languages for which the English tags of pictures and symbols are searched. */

/** Each line: the English tag, then its words in German, French and Spanish. */
const LINES = `water wasser eau agua
money geld kosten preis budget argent coût prix dinero coste precio
time zeit uhr dauer temps heure durée tiempo hora
calendar kalender termin datum calendrier date calendario fecha
people menschen leute personen mitarbeiter gens personnes personas gente
team gruppe mannschaft équipe groupe equipo grupo
home haus heim wohnung maison logement casa vivienda
building gebäude bau bâtiment edificio
bridge brücke pont puente
mill mühle moulin molino
wheel rad roue rueda
gear zahnrad getriebe engrenage engranaje
boat boot schiff bateau barco
harbour hafen port puerto
sea meer see mer mar
wave welle flut gezeiten vague marée ola marea
sun sonne soleil sol
moon mond lune luna
cloud wolke nuage nube
rain regen pluie lluvia
wind wind vent viento
tree baum arbre árbol
forest wald forêt bosque
leaf blatt feuille hoja
flower blume fleur flor
grain korn getreide mehl grain céréale farine grano cereal harina
bread brot pain pan
food essen nahrung nourriture repas comida alimento
fire feuer feu fuego
light licht lampe lumière luz lámpara
idea idee idée idea
book buch livre libro
school schule école escuela
learn lernen lehre apprendre formation aprender
work arbeit travail trabajo
tool werkzeug outil herramienta
repair reparatur reparieren réparation reparación
road straße weg route chemin carretera camino
map karte carte mapa
travel reise voyage viaje
car auto wagen voiture coche
train zug bahn train tren
bicycle fahrrad vélo bicicleta
phone telefon téléphone teléfono
mail post brief courrier lettre correo carta
message nachricht message mensaje
computer rechner computer ordinateur ordenador
network netz netzwerk réseau red
data daten données datos
chart diagramm grafik diagramme graphique gráfico
growth wachstum croissance crecimiento
goal ziel objectif but objetivo meta
success erfolg succès éxito
risk risiko gefahr risque danger riesgo peligro
safety sicherheit schutz sécurité seguridad protección
health gesundheit santé salud
heart herz cœur corazón
question frage question pregunta
answer antwort réponse respuesta
check prüfung kontrolle contrôle vérification control revisión
law recht gesetz loi droit ley derecho
contract vertrag contrat contrato
bank bank banque banco
market markt marché mercado
shop laden geschäft magasin boutique tienda
energy energie strom énergie energía
nature natur nature naturaleza
animal tier animal animal
bird vogel oiseau ave pájaro
fish fisch poisson pez
music musik musique música
picture bild image imagen foto
camera kamera caméra cámara
letter brief lettre carta
key schlüssel clé llave
door tür porte puerta
window fenster fenêtre ventana
stone stein pierre piedra
wood holz bois madera
iron eisen fer hierro
mountain berg montagne montaña
field feld champ campo
river fluss rivière río
city stadt ville ciudad
world welt monde mundo
start anfang beginn début inicio comienzo
end ende fin fin final
plan plan plan plan
list liste liste lista
meeting sitzung treffen réunion reunión
vote wahl abstimmung vote élection voto elección
help hilfe aide ayuda
volunteer ehrenamt freiwillige bénévole voluntario
trust stiftung vertrauen fondation confiance fundación confianza
visitor besucher gast visiteur visitante`;

const ENGLISH = new Map<string, string[]>();
for (const line of LINES.split('\n')) {
  const [english, ...others] = line.split(' ') as [string, ...string[]];
  for (const word of others) ENGLISH.set(word, [...(ENGLISH.get(word) ?? []), english]);
}

/** English tags that a word of another language may mean; none for a word that is not known. */
export const englishFor = (word: string): readonly string[] => ENGLISH.get(word) ?? [];
